-- What went through the house, summed by the day: kept by the database itself in the transaction of each deed, so that what the release
-- before writes beside this one is counted as well. A deed adds rows and changes none, so that nobody waits for anybody; the hourly
-- clearing adds up what belongs together. Compared and mended by one command.
create table flow (
    stillroom_id uuid not null references stillroom,
    id uuid not null default gen_random_uuid(),
    kind text not null,
    -- A kind's key, or an oil's or a made thing's name in lower case; and as it is called.
    key text not null,
    name text not null,
    unit text not null,
    -- Of what is no herb these three are empty.
    part text not null,
    cut text not null,
    moisture text not null,
    cause text not null,
    day date not null,
    -- In grams, millilitres or pieces; less than nothing where a deed was taken back.
    amount numeric not null,
    times integer not null,
    -- For what was bought, in minor units.
    paid numeric not null,
    primary key (stillroom_id, id)
);
create index flow_of_day on flow (stillroom_id, day);
create index flow_gathered on flow (stillroom_id, key, day) include (times)
    where cause = 'GATHERED' and kind = 'HERB';

-- What should stand in it, movement by movement, taken back or not.
create view flow_source as
select m.stillroom_id, m.id as movement_id, m.lot_id, l.kind,
    case when l.kind in ('INFUSED_OIL', 'MADE') then lower(l.name) else l.kind_key end as key, l.name, l.unit,
    coalesce(l.part, '') as part, coalesce(l.cut, '') as cut, coalesce(l.moisture, '') as moisture, m.cause, d.day,
    abs(m.amount) / case when l.unit = 'PIECE' then 1 when l.kind in ('INFUSED_OIL', 'CARRIER') then 1000 * l.density else 1000 end as amount,
    coalesce(case when m.cause = 'BOUGHT' then l.price_minor * m.amount / l.price_for::numeric end, 0) as paid
from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id join stillroom s on s.id = m.stillroom_id
-- What was gathered was gathered on its day, whenever it was written down.
cross join lateral (select case when m.cause in ('GATHERED', 'BOUGHT') and l.acquired_on is not null then l.acquired_on
    else (m.happened_at at time zone s.zone)::date end as day) d
where m.cause in ('GATHERED', 'BOUGHT', 'DRIED', 'STRAINED', 'POURED', 'USED', 'DRAWN', 'GIVEN', 'SOLD', 'DISCARDED')
    and (m.amount > 0) = (m.cause in ('GATHERED', 'BOUGHT', 'DRIED', 'STRAINED', 'POURED'))
    and not (l.kind = 'MADE' and l.kind_key = 'melt');

create function flow_moved(household uuid, which uuid, sign integer) returns void language sql as $$
    insert into flow (stillroom_id, kind, key, name, unit, part, cut, moisture, cause, day, amount, times, paid)
    select s.stillroom_id, s.kind, s.key, s.name, s.unit, s.part, s.cut, s.moisture, s.cause, s.day, sign * s.amount, sign, sign * s.paid
    from flow_source s where s.stillroom_id = household and s.movement_id = which;
$$;
-- What is taken back goes where it stands by itself; else its opposite comes beside it. A row somebody holds is left to its opposite.
create function flow_back(household uuid, which uuid) returns void language sql as $$
    with undone as (select * from flow_source s where s.stillroom_id = household and s.movement_id = which),
    gone as (delete from flow f where f.stillroom_id = household and f.id = (
        select g.id from flow g join undone u on g.kind = u.kind and g.key = u.key and g.unit = u.unit and g.part = u.part
            and g.cut = u.cut and g.moisture = u.moisture and g.cause = u.cause and g.day = u.day and g.amount = u.amount and g.paid = u.paid
        where g.stillroom_id = household and g.times = 1 limit 1 for update of g skip locked) returning f.id)
    insert into flow (stillroom_id, kind, key, name, unit, part, cut, moisture, cause, day, amount, times, paid)
    select u.stillroom_id, u.kind, u.key, u.name, u.unit, u.part, u.cut, u.moisture, u.cause, u.day, -u.amount, -1, -u.paid from undone u
    where not exists (select from gone);
$$;
create function follow_flow() returns trigger language plpgsql as $$
begin
    if new.reverses is null then
        perform flow_moved(new.stillroom_id, new.id, 1);
    else
        perform flow_back(new.stillroom_id, new.reverses);
    end if;
    return null;
end $$;
create trigger flow_followed after insert on movement for each row execute function follow_flow();

-- What a lot is was said otherwise: what it moved counts as that, and no longer as what it was.
create function follow_flow_of_lot() returns trigger language plpgsql as $$
begin
    perform flow_moved(m.stillroom_id, m.id, case when tg_when = 'BEFORE' then -1 else 1 end) from movement m
        where m.stillroom_id = new.stillroom_id and m.lot_id = new.id and m.reverses is null
            and not exists (select from movement b where b.stillroom_id = m.stillroom_id and b.reverses = m.id);
    return new;
end $$;
create trigger flow_lot_was before update on lot for each row when ((old.kind, old.kind_key, old.name, old.unit, old.part, old.cut,
    old.moisture, old.density, old.acquired_on, old.price_minor, old.price_for) is distinct from (new.kind, new.kind_key, new.name, new.unit,
    new.part, new.cut, new.moisture, new.density, new.acquired_on, new.price_minor, new.price_for)) execute function follow_flow_of_lot();
create trigger flow_lot_is after update on lot for each row when ((old.kind, old.kind_key, old.name, old.unit, old.part, old.cut,
    old.moisture, old.density, old.acquired_on, old.price_minor, old.price_for) is distinct from (new.kind, new.kind_key, new.name, new.unit,
    new.part, new.cut, new.moisture, new.density, new.acquired_on, new.price_minor, new.price_for)) execute function follow_flow_of_lot();

-- What is missing in a household's sums, or too much in them.
create function flow_missing(household uuid) returns setof flow language sql as $$
    select household, gen_random_uuid(), kind, key, max(name), unit, part, cut, moisture, cause, day, sum(amount), sum(times)::integer, sum(paid)
    from (
        select s.kind, s.key, s.name, s.unit, s.part, s.cut, s.moisture, s.cause, s.day, s.amount, 1 as times, s.paid from flow_source s
        where s.stillroom_id = household
            and not exists (select from movement b where b.stillroom_id = s.stillroom_id and b.reverses = s.movement_id)
        union all
        select f.kind, f.key, f.name, f.unit, f.part, f.cut, f.moisture, f.cause, f.day, -f.amount, -f.times, -f.paid from flow f
        where f.stillroom_id = household) one
    group by kind, key, unit, part, cut, moisture, cause, day
    having sum(times) <> 0 or abs(sum(amount)) > 0.000001 or abs(sum(paid)) > 0.000001;
$$;

-- What was strained of which herb, batch by batch: a row for each herb in it, or one without where it had none from here.
create table brewed (
    stillroom_id uuid not null,
    batch_id uuid not null,
    oil text not null,
    kind_key text not null,
    part text not null,
    cut text not null,
    moisture text not null,
    -- The first day it was strained.
    day date not null,
    -- All of the oil that came of it, at one of its herbs only.
    millilitres numeric not null,
    batches integer not null,
    grams numeric not null,
    primary key (stillroom_id, batch_id, oil, kind_key, part, cut, moisture),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);
create index brewed_on on brewed (stillroom_id, day) include (oil, kind_key, part, cut, moisture, millilitres, batches, grams);

create view brewed_source as
select s.stillroom_id, s.batch_id, s.oil, coalesce(h.kind_key, '') as kind_key, coalesce(h.part, '') as part, coalesce(h.cut, '') as cut,
    coalesce(h.moisture, '') as moisture, s.day, case when h.nth is null or h.nth = 1 then s.millilitres else 0 end as millilitres,
    case when h.nth is null or h.nth = 1 then 1 else 0 end as batches, coalesce(h.grams, 0) as grams
from (
    select m.stillroom_id, m.batch_id, lower(l.name) as oil, sum(m.amount / (1000 * l.density)) as millilitres,
        min((m.happened_at at time zone r.zone)::date) as day
    from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id and l.kind = 'INFUSED_OIL'
    join stillroom r on r.id = m.stillroom_id
    where m.cause = 'STRAINED' and m.amount > 0 and m.batch_id is not null
        and not exists (select from movement b where b.stillroom_id = m.stillroom_id and b.reverses = m.id)
    group by 1, 2, 3) s
left join lateral (
    select l.kind_key, l.part, l.cut, l.moisture, sum(-m.amount / 1000.0) as grams,
        row_number() over (order by l.kind_key, l.part, l.cut, l.moisture) as nth
    from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id and l.kind = 'HERB'
    where m.stillroom_id = s.stillroom_id and m.batch_id = s.batch_id and m.cause = 'USED' and m.amount < 0
        and not exists (select from movement b where b.stillroom_id = m.stillroom_id and b.reverses = m.id)
    group by 1, 2, 3, 4) h on true;

create function brew_anew(household uuid, which uuid) returns void language sql as $$
    delete from brewed b where b.stillroom_id = household and b.batch_id = which;
    insert into brewed (stillroom_id, batch_id, oil, kind_key, part, cut, moisture, day, millilitres, batches, grams)
        select s.stillroom_id, s.batch_id, s.oil, s.kind_key, s.part, s.cut, s.moisture, s.day, s.millilitres, s.batches, s.grams
        from brewed_source s where s.stillroom_id = household and s.batch_id = which;
$$;
create function follow_brewed() returns trigger language plpgsql as $$
begin
    perform brew_anew(new.stillroom_id, new.batch_id);
    return null;
end $$;
create trigger brewed_followed after insert on movement for each row
    when (new.batch_id is not null and new.cause in ('STRAINED', 'USED', 'UNDONE')) execute function follow_brewed();
create function follow_brewed_of_lot() returns trigger language plpgsql as $$
begin
    perform brew_anew(one.stillroom_id, one.batch_id) from (select distinct m.stillroom_id, m.batch_id from movement m
        where m.stillroom_id = new.stillroom_id and m.lot_id = new.id and m.batch_id is not null) one;
    return null;
end $$;
create trigger brewed_lot after update on lot for each row when ((old.kind, old.kind_key, old.name, old.part, old.cut, old.moisture,
    old.density) is distinct from (new.kind, new.kind_key, new.name, new.part, new.cut, new.moisture, new.density))
    execute function follow_brewed_of_lot();

-- Where a household lives in another zone now, its days are others.
create function follow_zone() returns trigger language plpgsql as $$
begin
    insert into flow select * from flow_missing(new.id);
    perform brew_anew(new.id, one.batch_id) from (select distinct batch_id from brewed where stillroom_id = new.id) one;
    return null;
end $$;
create trigger flow_zone after update on stillroom for each row when (old.zone is distinct from new.zone) execute function follow_zone();

-- Since when there is any of a thing.
create index lot_came_in on lot
    (stillroom_id, kind, (case when kind in ('INFUSED_OIL', 'MADE') then lower(name) else kind_key end), acquired_on)
    where acquired_on is not null;
-- Which lots there were of what is suspected; what a herb cost; why things were thrown out; which batches were.
create index lot_raw on lot (stillroom_id, kind_key, created_at desc) where kind not in ('INFUSED_OIL', 'MADE', 'CONTAINER');
create index lot_priced on lot (stillroom_id) where kind = 'HERB' and price_minor is not null;
create index movement_thrown_out on movement (stillroom_id, happened_at) where cause = 'DISCARDED';
create index facts_thrown_out on batch_facts (stillroom_id, number desc) where state = 'DISCARDED';
create index facts_newest on batch_facts (stillroom_id, number desc) where state <> 'NEVER_STARTED';
