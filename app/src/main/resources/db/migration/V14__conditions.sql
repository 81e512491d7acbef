-- What is wrong with a batch or a lot, open until it is answered. A batch's condition is of all that came of it; a lot's of that lot alone.
create table condition (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    batch_id uuid,
    lot_id uuid,
    kind text not null check (kind in ('MOULD', 'FERMENT', 'OFF', 'WATER', 'OVERHEATED', 'SCORCHED', 'ON_HOLD')),
    name text not null check (length(name) between 1 and 200),
    words text not null check (length(words) <= 400),
    found_at timestamptz not null,
    recorded_at timestamptz not null,
    found_by uuid not null references account,
    source uuid,
    answer text check (answer in ('THROWN_OUT', 'DEALT_WITH', 'TAKEN_BACK')),
    answered_at timestamptz,
    answered_by uuid references account,
    answer_words text check (length(answer_words) <= 400),
    answer_source uuid,
    primary key (stillroom_id, id),
    check (batch_id is not null or lot_id is not null),
    check ((answer is null) = (answered_at is null) and (answer is null) = (answered_by is null)),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id)
);
create index condition_id on condition (id);
create index condition_open on condition (stillroom_id, found_at) where answer is null;
create index condition_of_batch on condition (stillroom_id, batch_id) where batch_id is not null;
create index condition_of_lot on condition (stillroom_id, lot_id) where lot_id is not null;
create index condition_found_by on condition (stillroom_id, source) where source is not null;
create index condition_answered_by on condition (stillroom_id, answer_source) where answer_source is not null;

-- Looks that found mould or ferment and were passed over till now: of what still stands, open.
insert into condition (stillroom_id, id, version, batch_id, kind, name, words, found_at, recorded_at, found_by, source)
select e.stillroom_id, gen_random_uuid(), 0, e.batch_id, k.kind, left(b.name, 160) || ', jar ' || b.number, '', e.happened_at, e.recorded_at, e.account_id, e.id
from batch_entry e
join batch b on b.stillroom_id = e.stillroom_id and b.id = e.batch_id
cross join lateral (
    select 'MOULD' as kind where e.value ->> 'mould' = 'true'
    union all select 'FERMENT' where e.value ->> 'smell' = 'SOUR'
    union all select 'OFF' where e.value ->> 'smell' = 'RANCID') k
where e.kind = 'LOOKED'
    and not exists (select from batch_entry t where t.stillroom_id = e.stillroom_id and t.corrects_id = e.id)
    and not exists (select from batch_entry d where d.stillroom_id = e.stillroom_id and d.batch_id = e.batch_id and d.kind in ('STRAINED', 'DISCARDED')
        and not exists (select from batch_entry t where t.stillroom_id = d.stillroom_id and t.corrects_id = d.id));
