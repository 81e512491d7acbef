-- What lists of many batches ask, beside their plans and logs: written with every deed, rebuilt by one command.
create table batch_facts (
    stillroom_id uuid not null,
    batch_id uuid not null,
    number int not null,
    kind text not null,
    state text not null check (state in ('STANDING', 'STRAINED', 'DISCARDED', 'NEVER_STARTED')),
    herbs text[] not null,
    carriers text[] not null,
    began_on date,
    ended_on date,
    keeps_until date,
    settling boolean not null,
    primary key (stillroom_id, batch_id),
    unique (stillroom_id, number),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    check ((state in ('STRAINED', 'DISCARDED')) = (ended_on is not null))
);
create index batch_standing on batch_facts (stillroom_id, number) where state = 'STANDING';
create index batch_ended_on on batch_facts (stillroom_id, ended_on) where state in ('STRAINED', 'DISCARDED');
create index batch_ended_herbs on batch_facts (stillroom_id, herbs) where state in ('STRAINED', 'DISCARDED');
create index batch_ended_carriers on batch_facts (stillroom_id, carriers) where state in ('STRAINED', 'DISCARDED');
create index batch_settling on batch_facts (stillroom_id, number) where settling;
create index batch_ended on batch_facts (stillroom_id, number desc) where state in ('STRAINED', 'DISCARDED');

insert into batch_facts (stillroom_id, batch_id, number, kind, state, herbs, carriers, began_on, ended_on, keeps_until, settling)
select b.stillroom_id, b.id, b.number, b.kind,
    case when c.at is null then 'NEVER_STARTED' when s.at is not null then 'STRAINED' when d.at is not null then 'DISCARDED' else 'STANDING' end,
    (select array_agg(k order by n) from (select h.v -> 'kind' ->> 'key' as k, min(h.n) as n from jsonb_array_elements(p.herbs) with ordinality h (v, n) group by 1) one),
    (select array_agg(k order by n) from (select o.v -> 'kind' ->> 'key' as k, min(o.n) as n from jsonb_array_elements(p.carriers) with ordinality o (v, n) group by 1) one),
    (c.at at time zone r.zone)::date,
    case when c.at is null then null else (coalesce(s.at, d.at) at time zone r.zone)::date end,
    case when c.at is not null and s.at is not null then coalesce(t.until, s.until) end,
    c.at is not null and s.at is not null and t.until is null and s.settles
        and not coalesce((p.food = 'FOOD' and p.herbs @? '$[*] ? (@.moisture != "DRIED")'), false)
from batch b
join stillroom r on r.id = b.stillroom_id
cross join lateral (select
    coalesce(b.plan -> 'herbs', b.plan -> 'plan' -> 'request' -> 'herbs') as herbs,
    coalesce(b.plan -> 'carriers', jsonb_build_array(b.plan -> 'plan' -> 'request' -> 'carrier')) as carriers,
    coalesce(b.plan -> 'circumstances' ->> 'use', b.plan #>> '{plan,request,circumstances,use}') as food) p
left join lateral (select e.happened_at as at from batch_entry e
    where e.stillroom_id = b.stillroom_id and e.batch_id = b.id and e.kind = 'CHARGED'
    and not exists (select from batch_entry x where x.stillroom_id = e.stillroom_id and x.corrects_id = e.id)
    order by e.happened_at limit 1) c on true
left join lateral (select e.happened_at as at, (e.value -> 'keepUntil' ->> 'date')::date as until,
    coalesce((e.value #>> '{seen,water,millilitres}')::float8, 0) > 0 or coalesce(e.value #>> '{seen,clarity}', 'CLEAR') = 'CLOUDY'
        or coalesce(e.value #>> '{seen,smell}', 'RIGHT') in ('FAINT', 'SOUR', 'RANCID', 'FRIED') as settles from batch_entry e
    where e.stillroom_id = b.stillroom_id and e.batch_id = b.id and e.kind = 'STRAINED'
    and not exists (select from batch_entry x where x.stillroom_id = e.stillroom_id and x.corrects_id = e.id)
    order by e.happened_at limit 1) s on true
left join lateral (select (e.value ->> 'useBy')::date as until from batch_entry e
    where e.stillroom_id = b.stillroom_id and e.batch_id = b.id and e.kind = 'SETTLED'
    and not exists (select from batch_entry x where x.stillroom_id = e.stillroom_id and x.corrects_id = e.id)
    order by e.happened_at desc limit 1) t on true
left join lateral (select e.happened_at as at from batch_entry e
    where e.stillroom_id = b.stillroom_id and e.batch_id = b.id and e.kind = 'DISCARDED'
    and not exists (select from batch_entry x where x.stillroom_id = e.stillroom_id and x.corrects_id = e.id)
    order by e.happened_at limit 1) d on true;

-- What is in stock, however much ever was.
create index lot_in_stock on lot (stillroom_id, name, created_at, id) where balance > 0;
-- What is past its time is found without looking at the rest.
create index form_key_sent on form_key (sent_at);
create index lot_of_kind_key on lot (stillroom_id, kind_key);
