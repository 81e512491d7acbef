-- Which kinds of lines there are is said once, in the application, which reads every kind or none.
alter table batch_entry drop constraint batch_entry_kind_check;
alter table batch_entry add check (length(kind) between 1 and 20);

-- A batch has a kind; all so far are infusions.
alter table batch add column kind text not null default 'INFUSION' check (kind in ('INFUSION', 'MAKING'));

-- What to do otherwise next time was a note that began with those words.
update batch_entry set kind = 'LESSON', typed = substr(typed, 12) where kind = 'NOTED' and typed like 'Next time: _%';

-- Lines name the lots they took from.
update batch_entry e set value = e.value || jsonb_build_object('takes', coalesce((
    select jsonb_agg(jsonb_build_object('lot', m.lot_id, 'mass', jsonb_build_object('grams', -m.amount / 1000.0)) order by m.id)
    from movement m where m.stillroom_id = e.stillroom_id and m.entry_id = e.id and m.cause = 'USED'), '[]'))
    where e.kind = 'CHARGED';
update batch_entry e set value = e.value || jsonb_build_object('take', (
    select jsonb_build_object('lot', m.lot_id, 'mass', jsonb_build_object('grams', -m.amount / 1000.0))
    from movement m where m.stillroom_id = e.stillroom_id and m.entry_id = e.id and m.cause = 'USED' order by m.id limit 1))
    where e.kind = 'TOPPED_UP';

-- Too much heat is worked out from the readings, and withdrawn with them; what was smelled or said by hand is not.
alter table condition add column worked_out boolean not null default false;
update condition c set worked_out = true from batch_entry e
    where c.kind in ('OVERHEATED', 'SCORCHED') and e.stillroom_id = c.stillroom_id and e.id = c.source
    and e.kind not in ('LOOKED', 'STRAINED', 'SETTLED', 'SNIFFED');

-- What a reading taught is forgotten with it.
delete from warm_up w using batch_entry t where t.stillroom_id = w.stillroom_id and t.corrects_id = w.id;

-- Written to and emptied by the health page, to see whether anything can be written.
create table write_check (at timestamptz not null);
