-- All that was written down, in one table that is searched: kept by the database itself in the transaction of each deed, so that what the
-- release before writes beside this one is found as well; compared and mended by one command.
create table written (
    stillroom_id uuid not null references stillroom,
    source text not null,
    id uuid not null,
    -- What it leads to, and of what sort that is.
    about uuid not null,
    sort text not null,
    head text not null,
    words text not null,
    happened_at timestamptz not null,
    said text generated always as (lower(head || ' ' || words)) stored,
    lexemes tsvector generated always as (to_tsvector('simple', head || ' ' || words)) stored,
    primary key (stillroom_id, source, id)
);
create index written_newest on written (stillroom_id, happened_at desc);
create index written_lexemes on written using gin (lexemes);
create index written_said on written using gin (said gin_trgm_ops);

-- What should stand in it: each source by one part, which its trigger and the comparison both read.
create view written_source as
-- Of a line that was corrected what it says now; a correction that was taken back lets the line before it hold again.
select e.stillroom_id, 'NOTE'::text as source, e.id, e.batch_id as about, b.kind as sort, b.name || ', batch ' || b.number as head,
    said.words, e.happened_at
from batch_entry e join batch b on b.stillroom_id = e.stillroom_id and b.id = e.batch_id
cross join lateral (select case e.kind when 'CORRECTED' then e.value ->> 'kind' else e.kind end as kind,
    case e.kind when 'CORRECTED' then coalesce(e.value ->> 'words', '') else e.typed end as typed,
    case e.kind when 'CORRECTED' then (e.value ->> 'value')::jsonb else e.value end as value) now
cross join lateral (select concat_ws(' · ', case when now.kind in ('NOTED', 'LESSON') then nullif(now.typed, '') end,
    case when now.kind = 'DISCARDED' then coalesce(nullif(now.value ->> 'lesson', ''), nullif(now.typed, '')) end,
    nullif(now.value #>> '{seen,colour}', '')) as words) said
where e.kind <> 'TAKEN_BACK' and said.words <> ''
    and not exists (select from batch_entry x where x.stillroom_id = e.stillroom_id and x.corrects_id = e.id and (x.kind <> 'CORRECTED'
        or not exists (select from batch_entry y where y.stillroom_id = x.stillroom_id and y.corrects_id = x.id and y.kind = 'TAKEN_BACK')))
union all
select b.stillroom_id, 'BATCH', b.id, b.id, b.kind, b.name, 'batch ' || b.number, b.created_at from batch b
union all
select l.stillroom_id, 'LOT', l.id, l.id, l.kind, l.name,
    concat_ws(' · ', l.words, nullif(l.came_from, ''), nullif(l.kept_at, ''), nullif(l.maker, ''), nullif(l.their_number, '')), l.created_at
from lot l where not (l.kind = 'MADE' and l.kind_key = 'melt')
union all
select m.stillroom_id, 'MOVED', m.id, m.lot_id, l.kind, l.name, m.note, m.happened_at
from movement m join lot l on l.stillroom_id = m.stillroom_id and l.id = m.lot_id
where m.note <> '' and m.cause <> 'UNDONE' and not (l.kind = 'MADE' and l.kind_key = 'melt')
    and not exists (select from movement x where x.stillroom_id = m.stillroom_id and x.reverses = m.id)
union all
select p.stillroom_id, 'LABEL', p.id, p.about, p.code, p.name,
    coalesce((select string_agg(line ->> 'text', ' · ' order by at) from jsonb_array_elements(p.said) with ordinality as said (line, at)), ''),
    p.printed_at
from label_printing p where p.taken_back_at is null
union all
select r.stillroom_id, 'PERSON', r.id, r.id, '', r.nickname, r.note, r.added_at from recipient r where r.dropped_at is null
union all
select r.stillroom_id, 'REACTION', r.id, r.recipient_id, r.strength, p.nickname || ' used ' || r.name, concat_ws(' · ', nullif(r.place, ''),
    nullif(r.lasted, '')), r.noted_at
from reaction r join recipient p on p.stillroom_id = r.stillroom_id and p.id = r.recipient_id where r.dropped_at is null
union all
select c.stillroom_id, 'RECIPE', c.id, c.id, 'CARD', c.title, c.body, c.created_at from recipe_card c where c.removed_at is null
union all
select c.stillroom_id, 'PLAN', c.id, c.id, 'PLAN', c.title, '', c.created_at from kept_plan c where c.removed_at is null
union all
select c.stillroom_id, 'FORMULA', c.id, c.id, 'FORMULA', c.title, '', c.created_at from kept_formula c where c.removed_at is null
union all
select c.stillroom_id, 'WRONG', c.id, coalesce(c.batch_id, c.lot_id), 
    coalesce((select b.kind from batch b where b.stillroom_id = c.stillroom_id and b.id = c.batch_id), 'LOT'), c.name,
    concat_ws(' · ', nullif(c.words, ''), nullif(c.answer_words, '')), c.found_at
from condition c where c.answer is distinct from 'TAKEN_BACK' and concat_ws('', c.words, c.answer_words) <> ''
union all
select s.stillroom_id, 'STALL', s.id, s.id, '', s.name, '', s.added_at from stall_day s
union all
select g.stillroom_id, 'GIFTS', g.id, g.id, '', g.name, '', g.added_at from gift_list g where g.dropped_at is null
union all
select k.stillroom_id, 'KIT', k.id, k.id, k.kind, k.name, k.settings, k.created_at from kit k where k.removed_at is null
union all
select t.stillroom_id, 'TO_BUY', t.id, t.id, '', t.words, t.because, t.added_at from to_buy t where t.got_at is null;

-- Writes one thing anew, or takes it out where it is no more.
create function write_anew(household uuid, which text, what uuid) returns void language sql as $$
    delete from written w where w.stillroom_id = household and w.source = which and w.id = what;
    insert into written (stillroom_id, source, id, about, sort, head, words, happened_at)
        select s.* from written_source s where s.stillroom_id = household and s.source = which and s.id = what;
$$;
create function follow_written() returns trigger language plpgsql as $$
begin
    perform write_anew(coalesce(new.stillroom_id, old.stillroom_id), tg_argv[0], coalesce(new.id, old.id));
    return null;
end $$;
-- What takes a line or a movement back takes its words out of the search; what takes a correction back brings those before it in again.
create function follow_corrected() returns trigger language plpgsql as $$
begin
    perform write_anew(new.stillroom_id, 'NOTE', new.corrects_id);
    perform write_anew(new.stillroom_id, 'NOTE', e.corrects_id) from batch_entry e
        where e.stillroom_id = new.stillroom_id and e.id = new.corrects_id and e.corrects_id is not null;
    return null;
end $$;
create function follow_reversed() returns trigger language plpgsql as $$
begin
    perform write_anew(new.stillroom_id, 'MOVED', new.reverses);
    return null;
end $$;

create trigger written_entry after insert on batch_entry for each row
    when (new.kind in ('NOTED', 'LESSON', 'DISCARDED', 'CORRECTED') or new.value #>> '{seen,colour}' <> '') execute function follow_written('NOTE');
create trigger written_corrected after insert on batch_entry for each row
    when (new.corrects_id is not null) execute function follow_corrected();
create trigger written_batch after insert on batch for each row execute function follow_written('BATCH');
create trigger written_batch_named after update on batch for each row
    when (old.name is distinct from new.name) execute function follow_written('BATCH');
create trigger written_lot after insert on lot for each row execute function follow_written('LOT');
create trigger written_lot_named after update on lot for each row when ((old.name, old.words, old.came_from, old.kept_at, old.maker,
    old.their_number) is distinct from (new.name, new.words, new.came_from, new.kept_at, new.maker, new.their_number))
    execute function follow_written('LOT');
create trigger written_moved after insert on movement for each row when (new.note <> '') execute function follow_written('MOVED');
create trigger written_moved_back after insert on movement for each row when (new.reverses is not null) execute function follow_reversed();
create trigger written_label after insert or update on label_printing for each row execute function follow_written('LABEL');
create trigger written_person after insert or update on recipient for each row execute function follow_written('PERSON');
create trigger written_reaction after insert or update on reaction for each row execute function follow_written('REACTION');
create trigger written_card after insert or update on recipe_card for each row execute function follow_written('RECIPE');
create trigger written_plan after insert or update on kept_plan for each row execute function follow_written('PLAN');
create trigger written_formula after insert or update on kept_formula for each row execute function follow_written('FORMULA');
create trigger written_wrong after insert or update on condition for each row execute function follow_written('WRONG');
create trigger written_stall after insert or update on stall_day for each row execute function follow_written('STALL');
create trigger written_gifts after insert or update on gift_list for each row execute function follow_written('GIFTS');
create trigger written_kit after insert or update on kit for each row execute function follow_written('KIT');
create trigger written_to_buy after insert or update or delete on to_buy for each row execute function follow_written('TO_BUY');
