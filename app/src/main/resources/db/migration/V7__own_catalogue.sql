-- A household's own herbs and carriers. One with a shipped key stands in for the shipped one, for this household alone.
create table own_herb (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    key text not null check (key ~ '^[a-z0-9-]{1,80}$'),
    common text not null check (length(common) between 1 and 80),
    botanical text not null check (length(botanical) <= 120),
    part text not null,
    usual_ratio numeric(5, 2) not null check (usual_ratio between 1 and 40),
    traits text not null check (length(traits) <= 400),
    created_at timestamptz not null,
    primary key (stillroom_id, id),
    unique (stillroom_id, key)
);

create table own_carrier (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    key text not null check (key ~ '^[a-z0-9-]{1,80}$'),
    common text not null check (length(common) between 1 and 80),
    density numeric(6, 4) not null check (density between 0.8 and 1.0),
    months_opened int not null check (months_opened between 1 and 36),
    melting_celsius numeric(5, 2) check (melting_celsius between 0 and 70),
    traits text not null check (length(traits) <= 400),
    created_at timestamptz not null,
    primary key (stillroom_id, id),
    unique (stillroom_id, key)
);
create index own_herb_id on own_herb (id);
create index own_carrier_id on own_carrier (id);
