-- A jar's width may be the usual one until somebody measures it; a household's own marks on its glass, found with water.
alter table jar
    add width_is_usual boolean not null default false,
    add marks text not null default '' check (length(marks) <= 400);
