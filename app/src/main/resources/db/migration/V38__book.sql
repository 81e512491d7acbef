-- Two batches of one charge that differ in one thing; "first" is the one with more of it.
create table twin (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    question text not null check (length(question) between 1 and 20),
    first_batch uuid not null,
    second_batch uuid not null,
    planned_at timestamptz not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id),
    check (first_batch <> second_batch),
    foreign key (stillroom_id, first_batch) references batch (stillroom_id, id),
    foreign key (stillroom_id, second_batch) references batch (stillroom_id, id)
);
create index twin_newest on twin (stillroom_id, planned_at desc);
create unique index twin_once on twin (stillroom_id, least(first_batch, second_batch), greatest(first_batch, second_batch))
    where dropped_at is null;

-- What somebody said of two cups without knowing which was which; once they were turned over, which of them stood left.
create table twin_judging (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    twin_id uuid not null,
    smell text not null check (smell in ('LEFT', 'RIGHT', 'NEITHER')),
    colour text not null check (colour in ('LEFT', 'RIGHT', 'NEITHER')),
    feel text not null check (feel in ('LEFT', 'RIGHT', 'NEITHER')),
    judged_at timestamptz not null,
    first_stood_left boolean,
    opened_at timestamptz,
    account_id uuid not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, twin_id) references twin (stillroom_id, id),
    foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id),
    check ((first_stood_left is null) = (opened_at is null))
);
create unique index twin_judging_once on twin_judging (stillroom_id, twin_id) where dropped_at is null;

-- What somebody used and how her skin took it; of what is no lot here only its name is known.
create table reaction (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    recipient_id uuid not null,
    lot_id uuid,
    name text not null check (length(name) between 1 and 200),
    strength text not null check (strength in ('NONE', 'SLIGHT', 'CLEAR', 'STRONG')),
    spreading boolean not null,
    place text not null check (length(place) <= 80),
    lasted text not null check (length(lasted) <= 80),
    patch boolean not null,
    used_on date not null,
    look_again_on date,
    looked_at timestamptz,
    noted_at timestamptz not null,
    account_id uuid not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, recipient_id) references recipient (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id),
    foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id)
);
create index reaction_of on reaction (stillroom_id, recipient_id, noted_at desc);
create index reaction_again on reaction (stillroom_id, look_again_on) where looked_at is null and dropped_at is null;

-- What she is known to react to: every gift, label and plan for her warns by it.
create table known_reaction (
    stillroom_id uuid not null references stillroom,
    recipient_id uuid not null,
    kind_key text not null check (length(kind_key) between 1 and 120),
    name text not null check (length(name) between 1 and 200),
    family text not null check (length(family) <= 200),
    since timestamptz not null,
    primary key (stillroom_id, recipient_id, kind_key),
    foreign key (stillroom_id, recipient_id) references recipient (stillroom_id, id)
);
-- What makers declare is read of all lots at once.
create index lot_declared on lot (stillroom_id) where declared <> '';
-- What batches taught is found without reading their logs.
create index entry_taught on batch_entry (stillroom_id, happened_at desc) where kind in ('LESSON', 'DISCARDED');
