-- What is still to be bought, as it was worked out or typed.
create table to_buy (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    words text not null check (length(words) between 1 and 160),
    because text not null default '' check (length(because) <= 160),
    added_at timestamptz not null,
    got_at timestamptz,
    primary key (stillroom_id, id)
);
create index to_buy_open on to_buy (stillroom_id, added_at) where got_at is null;

-- What is to be made of the oil of a batch once it is strained.
create table awaited_making (
    stillroom_id uuid not null,
    batch_id uuid not null,
    kind text not null check (length(kind) <= 40),
    pieces int not null check (pieces between 1 and 10000),
    container_lot uuid not null,
    firmness numeric(5, 2) not null,
    added_at timestamptz not null,
    -- The making that was begun of it.
    made_id uuid,
    dropped_at timestamptz,
    primary key (stillroom_id, batch_id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, container_lot) references lot (stillroom_id, id),
    foreign key (stillroom_id, made_id) references batch (stillroom_id, id)
);
create index awaited_open on awaited_making (stillroom_id, added_at) where dropped_at is null;
