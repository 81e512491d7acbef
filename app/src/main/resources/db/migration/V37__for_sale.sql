-- Who made it and where, which what is sold has to say; and what an essential oil's maker declares.
alter table label_look add column made_where text not null default '' check (length(made_where) <= 160);
alter table lot add column declared text not null default '' check (length(declared) <= 200);
