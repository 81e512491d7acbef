-- A batch is its frozen plan and an append-only log; where it stands is derived from both.
create table batch (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    number int not null check (number > 0),
    name text not null check (length(name) between 1 and 120),
    jar_id uuid not null,
    plan jsonb not null,
    created_at timestamptz not null,
    primary key (stillroom_id, id),
    unique (stillroom_id, number),
    foreign key (stillroom_id, jar_id) references jar (stillroom_id, id)
);

-- Plans that took the first one's place while the batch stood, each with its reason.
create table plan_revision (
    stillroom_id uuid not null,
    id uuid not null,
    batch_id uuid not null,
    number int not null check (number > 1),
    plan jsonb not null,
    reason text not null check (length(reason) between 1 and 400),
    account_id uuid not null references account,
    recorded_at timestamptz not null,
    primary key (stillroom_id, id),
    unique (stillroom_id, batch_id, number),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);

create table batch_entry (
    stillroom_id uuid not null,
    id uuid not null,
    batch_id uuid not null,
    kind text not null check (kind in ('CHARGED', 'STRAINED', 'NOTED', 'TAKEN_BACK')),
    happened_at timestamptz not null,
    recorded_at timestamptz not null,
    account_id uuid not null references account,
    client_key uuid not null,
    corrects_id uuid,
    typed text not null,
    value jsonb not null,
    primary key (stillroom_id, id),
    unique (stillroom_id, client_key),
    unique (stillroom_id, corrects_id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, corrects_id) references batch_entry (stillroom_id, id)
);
create index entry_of_batch on batch_entry (stillroom_id, batch_id, happened_at);

-- Edges lot → batch → lot, walked for culprits, blends and costs.
create table lineage (
    stillroom_id uuid not null,
    batch_id uuid not null,
    lot_id uuid not null,
    direction text not null check (direction in ('INTO', 'OUT_OF')),
    primary key (stillroom_id, batch_id, lot_id, direction),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id)
);
create index lineage_of_lot on lineage (stillroom_id, lot_id);

alter table movement add foreign key (stillroom_id, batch_id) references batch (stillroom_id, id);
