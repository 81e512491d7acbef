-- Who gets things: for whom she uses them, and what she must not have.
create table recipient (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    nickname text not null check (length(nickname) between 1 and 60),
    uses text not null check (length(uses) <= 400),
    avoids text not null check (length(avoids) <= 400),
    note text not null check (length(note) <= 300),
    added_at timestamptz not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id)
);
create unique index recipient_once on recipient (stillroom_id, lower(nickname)) where dropped_at is null;

create table stall_day (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    name text not null check (length(name) between 1 and 80),
    day date not null,
    begun_with bigint not null check (begun_with between 0 and 100000000),
    counted bigint check (counted between 0 and 1000000000),
    closed_at timestamptz,
    added_at timestamptz not null,
    primary key (stillroom_id, id)
);
create index stall_day_newest on stall_day (stillroom_id, day desc);

-- What was brought to it, and at what price: "three for fifteen" is an offer.
create table stall_thing (
    stillroom_id uuid not null references stillroom,
    stall_id uuid not null,
    lot_id uuid not null,
    brought integer not null check (brought between 1 and 10000),
    price bigint not null check (price between 0 and 10000000),
    offer_count integer not null check (offer_count = 0 or offer_count between 2 and 100),
    offer_price bigint not null check (offer_price between 0 and 100000000),
    primary key (stillroom_id, stall_id, lot_id),
    foreign key (stillroom_id, stall_id) references stall_day (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id)
);

create table gift_list (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    name text not null check (length(name) between 1 and 300),
    lot_id uuid,
    added_at timestamptz not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id)
);

-- What left the house by one movement: to whom or to nobody known, and for how much. A refund leaves the thing where it is.
create table leaving (
    stillroom_id uuid not null references stillroom,
    movement_id uuid not null,
    lot_id uuid not null,
    kind text not null check (kind in ('GIVEN', 'SOLD', 'OPENED', 'BROKEN')),
    pieces integer check (pieces between 1 and 10000),
    recipient_id uuid,
    -- All of it together, in the smallest coin.
    price bigint check (price between 0 and 1000000000),
    card boolean not null,
    stall_id uuid,
    refunded bigint check (refunded >= 0 and refunded <= price),
    happened_at timestamptz not null,
    taken_back_at timestamptz,
    primary key (stillroom_id, movement_id),
    foreign key (stillroom_id, movement_id) references movement (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id),
    foreign key (stillroom_id, recipient_id) references recipient (stillroom_id, id),
    foreign key (stillroom_id, stall_id) references stall_day (stillroom_id, id)
);
create index leaving_of_lot on leaving (stillroom_id, lot_id) where taken_back_at is null;
create index leaving_of_recipient on leaving (stillroom_id, recipient_id, happened_at desc) where recipient_id is not null;
create index leaving_of_stall on leaving (stillroom_id, stall_id, happened_at) where stall_id is not null;
create index leaving_sold on leaving (stillroom_id, happened_at) where kind = 'SOLD' and taken_back_at is null;

create table gift (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    list_id uuid not null,
    place integer not null,
    recipient_id uuid,
    -- Of whom nobody has named yet: what is to be minded.
    uses text not null check (length(uses) <= 400),
    avoids text not null check (length(avoids) <= 400),
    words text not null check (length(words) <= 200),
    pieces integer not null check (pieces between 1 and 200),
    movement_id uuid,
    dropped_at timestamptz,
    primary key (stillroom_id, id),
    unique (stillroom_id, list_id, place),
    foreign key (stillroom_id, list_id) references gift_list (stillroom_id, id),
    foreign key (stillroom_id, recipient_id) references recipient (stillroom_id, id),
    foreign key (stillroom_id, movement_id) references movement (stillroom_id, id)
);

-- Who made what was bought, and their number of it: by these it is recalled.
alter table lot add column maker text not null default '' check (length(maker) <= 120);
alter table lot add column their_number text not null default '' check (length(their_number) <= 120);
