-- How one person sees every page.
alter table account
    add column type_size text not null default 'USUAL' check (type_size in ('USUAL', 'LARGE', 'LARGER', 'TWICE')),
    add column contrast text not null default 'DEVICE' check (contrast in ('DEVICE', 'HIGH')),
    add column hand text not null default 'RIGHT' check (hand in ('RIGHT', 'LEFT'));
-- How long before its time what a household's calendar shows rings; no row for not at all.
create table calendar_rings (
    stillroom_id uuid primary key references stillroom,
    rings text not null check (rings in ('NOT', 'THEN', 'QUARTER', 'HOUR', 'DAY'))
);
