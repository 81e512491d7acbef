-- What is to be gathered, and when: by a herb's own first days here.
create table gathering_ahead (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    kind_key text not null check (length(kind_key) between 1 and 120),
    name text not null check (length(name) between 1 and 200),
    year integer not null check (year between 2000 and 2200),
    day date not null,
    words text not null check (length(words) <= 200),
    planned_at timestamptz not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id)
);
create unique index gathering_once on gathering_ahead (stillroom_id, kind_key, year) where dropped_at is null;

-- What was taken within a year, and when the first of a thing came in.
create index movement_lately on movement (stillroom_id, happened_at) include (lot_id, amount, cause, batch_id);
create index lot_first_of on lot (
    stillroom_id, kind, (case when kind in ('INFUSED_OIL', 'MADE') then lower(name) else kind_key end), created_at);
