-- When people of the household are home and awake: a line of hours for each weekday, from Monday on, as the craft's reader writes them.
create table resident (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    name text not null check (length(name) between 1 and 60),
    week text not null check (length(week) <= 800),
    created_at timestamptz not null,
    removed_at timestamptz,
    primary key (stillroom_id, id)
);
create index resident_id on resident (id);

-- Days on which a person's week does not hold.
create table absence (
    stillroom_id uuid not null,
    id uuid not null,
    version int not null,
    resident_id uuid not null,
    first_day date not null,
    last_day date not null check (last_day >= first_day),
    hours text not null check (length(hours) <= 100),
    why text not null check (length(why) <= 80),
    created_at timestamptz not null,
    removed_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, resident_id) references resident (stillroom_id, id)
);
create index absence_id on absence (id);

-- Frozen plans: moments before which a step is not to begin; none so far.
update batch set plan = plan || '{"holds": {}}'::jsonb;

-- Slow heat that is not stood beside may run on while nobody is there or awake.
alter table stillroom add column heat_alone boolean not null default false;

-- A plan kept to be made again, as its open form.
create table kept_plan (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    title text not null check (length(title) between 1 and 120),
    recipe jsonb not null,
    batch_id uuid,
    created_at timestamptz not null,
    removed_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);
create index kept_plan_id on kept_plan (id);

-- The secret address of a household's calendar; only its hash is kept, and a new one revokes the old.
create table calendar_feed (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    secret_hash text not null,
    created_at timestamptz not null,
    revoked_at timestamptz,
    primary key (stillroom_id, id)
);
create unique index calendar_feed_secret on calendar_feed (secret_hash);
create unique index calendar_feed_one on calendar_feed (stillroom_id) where revoked_at is null;
