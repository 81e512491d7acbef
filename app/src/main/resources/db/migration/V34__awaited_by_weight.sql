-- What waits for its oil may be told by its weight, where it is not said yet what it is poured into.
alter table awaited_making alter column pieces drop not null;
alter table awaited_making alter column container_lot drop not null;
alter table awaited_making add column grams numeric(9, 3) check (grams > 0 and grams <= 100000);
alter table awaited_making add constraint awaited_so_much
    check (grams is null and pieces is not null and container_lot is not null
        or grams is not null and pieces is null and container_lot is null);
