-- Words a household's own rules allow on its labels, by the form that stands for all of a word's.
create table allowed_word (
    stillroom_id uuid not null references stillroom,
    stem text not null check (length(stem) between 1 and 40),
    allowed_at timestamptz not null,
    primary key (stillroom_id, stem)
);

-- What a bought one of a kind of thing costs, in minor units for one of the same size.
create table bought_price (
    stillroom_id uuid not null references stillroom,
    kind text not null check (length(kind) between 1 and 40),
    minor bigint not null check (minor > 0),
    said_at timestamptz not null,
    primary key (stillroom_id, kind)
);

-- What a household holds to be the most of an essential oil on skin, percent, and where it has that from.
create table own_ceiling (
    stillroom_id uuid not null references stillroom,
    supply_key text not null check (length(supply_key) between 1 and 40),
    percent numeric(5, 2) not null check (percent between 0 and 100),
    source text not null check (length(source) between 1 and 120),
    said_at timestamptz not null,
    primary key (stillroom_id, supply_key)
);
