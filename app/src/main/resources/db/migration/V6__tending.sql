-- What tending, pressing and shelving write down. Old rows are carried over: one method and one stage was all there was.
alter table batch_entry drop constraint batch_entry_kind_check;
alter table batch_entry add check (kind in (
    'CHARGED', 'TOPPED_UP', 'TENDED', 'LOOKED', 'HEAT', 'STRAINED', 'SETTLED', 'BOTTLED', 'SNIFFED', 'DISCARDED', 'NOTED', 'TAKEN_BACK'));
-- The task an entry did, as stage.kind.ordinal; the same for a second tap, an undo and a calendar.
alter table batch_entry add column task text check (length(task) between 1 and 60);
create index entry_of_task on batch_entry (stillroom_id, batch_id, task) where task is not null;

alter table movement drop constraint movement_cause_check;
alter table movement add check (cause in (
    'BOUGHT', 'GATHERED', 'DRIED', 'USED', 'STRAINED', 'SETTLED', 'BOTTLED', 'DRAWN', 'GIVEN', 'SOLD', 'DISCARDED', 'CORRECTED', 'UNDONE'));
-- The entry of a batch's log that moved this, so that taking the entry back moves back just that.
alter table movement add column entry_id uuid;
alter table movement add foreign key (stillroom_id, entry_id) references batch_entry (stillroom_id, id);
create index movement_of_entry on movement (stillroom_id, entry_id) where entry_id is not null;
update movement m set entry_id = e.id from batch_entry e
    where e.stillroom_id = m.stillroom_id and e.batch_id = m.batch_id
    and ((m.cause = 'USED' and e.kind = 'CHARGED') or (m.cause = 'STRAINED' and e.kind = 'STRAINED'));

-- A filled bottle is a lot of its own.
alter table lot add column batch_id uuid;
alter table lot add foreign key (stillroom_id, batch_id) references batch (stillroom_id, id);
alter table lot add column bottle_ul bigint check (bottle_ul > 0);
alter table lot add column glass text check (glass in ('DARK', 'CLEAR'));
alter table lot add column place text check (place in ('COOL_DARK', 'ROOM', 'WARM', 'REFRIGERATOR'));
update lot l set batch_id = g.batch_id from lineage g
    where g.stillroom_id = l.stillroom_id and g.lot_id = l.id and g.direction = 'OUT_OF';
create index lot_of_batch on lot (stillroom_id, batch_id) where batch_id is not null;

-- What a strained batch showed its herb to keep, mL per g; learned from while its entry holds.
create table retention (
    stillroom_id uuid not null,
    id uuid not null,
    herb text not null,
    part text not null,
    cut text not null,
    moisture text not null,
    pressing text not null,
    kept double precision not null,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, id) references batch_entry (stillroom_id, id)
);
create index retention_of_herb on retention (stillroom_id, herb, part, cut, moisture, pressing);
insert into retention
    select e.stillroom_id, e.id, b.plan #>> '{plan,request,herb,kind,key}', b.plan #>> '{plan,request,herb,texture,part}',
        b.plan #>> '{plan,request,herb,texture,cut}', b.plan #>> '{plan,request,herb,moisture}', e.value ->> 'pressing', k.kept
    from batch_entry e join batch b on b.stillroom_id = e.stillroom_id and b.id = e.batch_id
    cross join lateral (select ((b.plan #>> '{plan,charge,oil,millilitres}')::float8 - (e.value #>> '{out,millilitres}')::float8 - 5)
        / (b.plan #>> '{plan,request,herb,mass,grams}')::float8 as kept) k
    where e.kind = 'STRAINED' and k.kept between 0 and 4;

-- Frozen plans: a stage's length is counted in its pace, a forecast says how many batches it learned from.
update batch set plan = jsonb_set(jsonb_set(jsonb_set(jsonb_set(plan,
    '{plan,request,circumstances,length}', plan #> '{plan,request,circumstances,days}'),
    '{plan,request,circumstances,method}', '{"key": "cold-dark", "name": "Cold and dark", "stages": [{"key": "stand", "name": "standing",
        "pace": "DAYS", "least": 21, "usual": 35, "most": 56, "band": {"low": {"celsius": 15}, "high": {"celsius": 22}}, "ceiling": null,
        "inLight": false, "vented": false, "tendings": [
            {"kind": "SHAKE", "everyAtFirst": 1, "first": 7, "everyAfter": 3}, {"kind": "LOOK", "everyAtFirst": 1, "first": 7, "everyAfter": 7}]}]}'),
    '{plan,request,herb,ownRetentions}', '[]'),
    '{plan,yield,batches}', '0')
    where plan #> '{plan,request,circumstances,length}' is null;
update batch_entry e set value = jsonb_build_object(
    'herb', b.plan #> '{plan,request,herb,mass}', 'oil', b.plan #> '{plan,charge,oil}')
    from batch b where b.stillroom_id = e.stillroom_id and b.id = e.batch_id and e.kind = 'CHARGED';
update batch_entry set value = value || '{"learned": true, "seen": {"clarity": "CLEAR", "smell": "NOT_SMELLED", "water": {"millilitres": 0}, "colour": ""}}'
    where kind = 'STRAINED';
