-- Stores in use: more kinds of lots, where they came from and what they cost, deeds that move several lots, drying, kit, recipes, search.
create extension if not exists pg_trgm;

alter table lot drop constraint lot_kind_check;
alter table lot add check (kind in ('HERB', 'CARRIER', 'WAX', 'SPIRIT', 'ANTIOXIDANT', 'ESSENTIAL_OIL', 'ADDITION', 'INFUSED_OIL', 'MADE', 'CONTAINER'));
-- Every name it goes by, lower case, for search.
alter table lot add column words text not null default '' check (length(words) <= 600);
update lot set words = lower(name);
create index lot_words on lot using gin (words gin_trgm_ops);
alter table lot add column origin text check (origin in ('BOUGHT', 'GATHERED', 'GROWN', 'MADE'));
alter table lot add column came_from text check (length(came_from) <= 120);
alter table lot add column kept_at text check (length(kept_at) <= 80);
-- What it cost, in minor units, for so much of it; a part taken off carries its share.
alter table lot add column price_minor bigint check (price_minor >= 0);
alter table lot add column price_for bigint check (price_for > 0);
alter table lot add check ((price_minor is null) = (price_for is null));
-- Strength of a spirit, percent by volume.
alter table lot add column abv numeric(4, 1) check (abv between 0 and 100);

alter table movement drop constraint movement_cause_check;
alter table movement add check (cause in (
    'BOUGHT', 'GATHERED', 'DRIED', 'SPLIT', 'PROCESSED', 'MERGED', 'BLENDED', 'USED', 'STRAINED', 'SETTLED', 'BOTTLED', 'DRAWN', 'GIVEN', 'SOLD', 'DISCARDED', 'CORRECTED', 'UNDONE'));
-- Movements of one deed at the stores, moved back together; note: the reason in words.
alter table movement add column deed uuid;
alter table movement add column note text check (length(note) <= 300);
create index movement_of_deed on movement (stillroom_id, deed) where deed is not null;

-- Edges lot → lot: split, processed, merged, dried, blended.
create table lot_edge (
    stillroom_id uuid not null,
    from_lot uuid not null,
    to_lot uuid not null,
    deed uuid not null,
    primary key (stillroom_id, from_lot, to_lot),
    foreign key (stillroom_id, from_lot) references lot (stillroom_id, id),
    foreign key (stillroom_id, to_lot) references lot (stillroom_id, id)
);
create index lot_edge_to on lot_edge (stillroom_id, to_lot);

create table drying (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    lot_id uuid not null,
    started_at timestamptz not null,
    start_mg bigint not null check (start_mg > 0),
    water numeric(4, 3) not null check (water between 0.01 and 0.97),
    scale_mg bigint not null check (scale_mg > 0),
    dried_lot uuid,
    deed uuid,
    ended_at timestamptz,
    created_at timestamptz not null,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id),
    foreign key (stillroom_id, dried_lot) references lot (stillroom_id, id)
);
create index drying_id on drying (id);
create unique index drying_open on drying (stillroom_id, lot_id) where ended_at is null;

-- One weighing on the rack; taken back by its time, never removed.
create table weigh_in (
    stillroom_id uuid not null,
    id uuid not null,
    version int not null,
    drying_id uuid not null,
    happened_at timestamptz not null,
    recorded_at timestamptz not null,
    account_id uuid not null references account,
    mass_mg bigint not null check (mass_mg > 0),
    snap text not null check (snap in ('NOT_TRIED', 'BENDS', 'SNAPS')),
    typed text not null,
    taken_back_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, drying_id) references drying (stillroom_id, id)
);
create index weigh_in_of_drying on weigh_in (stillroom_id, drying_id, happened_at);
create index weigh_in_id on weigh_in (id);

create table kit (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    kind text not null check (kind in ('POT', 'SLOW_COOKER', 'DEHYDRATOR', 'OVEN', 'THERMOMETER', 'SCALE', 'PRESS', 'CLOTH', 'OTHER')),
    name text not null check (length(name) between 1 and 80),
    capacity_ul bigint check (capacity_ul between 10000 and 50000000),
    inner_width_um bigint check (inner_width_um between 20000 and 800000),
    settings text not null check (length(settings) <= 200),
    pieces int not null check (pieces between 1 and 1000),
    created_at timestamptz not null,
    primary key (stillroom_id, id)
);
create index kit_id on kit (id);

create table recipe_card (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    title text not null check (length(title) between 1 and 120),
    body text not null check (length(body) between 1 and 6000),
    created_at timestamptz not null,
    removed_at timestamptz,
    primary key (stillroom_id, id)
);
create index recipe_card_id on recipe_card (id);
