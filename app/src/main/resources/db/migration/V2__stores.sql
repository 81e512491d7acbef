-- Everything that has stock is a lot; its balance is the sum of its movements in one unit.
create table lot (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    kind text not null check (kind in ('HERB', 'CARRIER', 'WAX', 'SPIRIT', 'INFUSED_OIL', 'MADE', 'CONTAINER')),
    kind_key text not null,
    name text not null check (length(name) between 1 and 120),
    unit text not null check (unit in ('MILLIGRAM', 'MICROLITRE', 'PIECE')),
    balance bigint not null check (balance >= 0),
    part text,
    cut text,
    moisture text,
    bulk_density numeric(6, 4) check (bulk_density > 0),
    density numeric(6, 4) check (density > 0),
    acquired_on date,
    opened_on date,
    best_before date,
    typed text not null,
    created_at timestamptz not null,
    primary key (stillroom_id, id),
    check (kind <> 'HERB' or (part is not null and cut is not null and moisture is not null)),
    check (kind not in ('CARRIER', 'INFUSED_OIL') or density is not null)
);
create index lot_by_kind on lot (stillroom_id, kind, created_at);

create table jar (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    name text not null check (length(name) between 1 and 80),
    capacity_ul bigint not null check (capacity_ul between 10000 and 50000000),
    inner_width_um bigint not null check (inner_width_um between 20000 and 800000),
    pieces int not null check (pieces between 1 and 1000),
    created_at timestamptz not null,
    primary key (stillroom_id, id)
);

-- A signed amount in the lot's unit. Never changed; undone by a reversing movement, once.
create table movement (
    stillroom_id uuid not null,
    id uuid not null,
    lot_id uuid not null,
    amount bigint not null check (amount <> 0),
    cause text not null check (cause in ('BOUGHT', 'GATHERED', 'DRIED', 'USED', 'STRAINED', 'DRAWN', 'GIVEN', 'SOLD', 'DISCARDED', 'CORRECTED', 'UNDONE')),
    batch_id uuid,
    reverses uuid,
    account_id uuid not null references account,
    happened_at timestamptz not null,
    recorded_at timestamptz not null,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id),
    foreign key (stillroom_id, reverses) references movement (stillroom_id, id),
    check ((cause = 'UNDONE') = (reverses is not null)),
    unique (stillroom_id, reverses)
);
create index movement_of_lot on movement (stillroom_id, lot_id, recorded_at);
create index movement_of_batch on movement (stillroom_id, batch_id);
