-- A pot or an insert of the kit can be the vessel instead of a jar.
alter table batch add column kit_id uuid;
alter table batch alter column jar_id drop not null;
alter table batch add foreign key (stillroom_id, kit_id) references kit (stillroom_id, id);
alter table batch add check ((jar_id is null) <> (kit_id is null));

-- A household's own ways: a shipped one with numbers of its own. One put away stays, since batches were made by it.
create table own_way (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    version int not null,
    name text not null check (length(name) between 1 and 60),
    method jsonb not null,
    created_at timestamptz not null,
    removed_at timestamptz,
    primary key (stillroom_id, id)
);
create index own_way_id on own_way (id);

-- Frozen plans: herbs as a list, what was to hand in one place, the dose of spirit. No figure changes.
update batch set plan = (plan - 'herbLot') || jsonb_build_object(
    'herbLots', jsonb_build_array(plan -> 'herbLot'),
    'plan', (plan -> 'plan') || jsonb_build_object('request', ((plan #> '{plan,request}') - 'herb') || jsonb_build_object(
        'herbs', jsonb_build_array(plan #> '{plan,request,herb}'),
        'circumstances', ((plan #> '{plan,request,circumstances}') - 'pantry' - 'spirit') || jsonb_build_object(
            'means', jsonb_build_object('pantry', plan #> '{plan,request,circumstances,pantry}', 'spirit', plan #> '{plan,request,circumstances,spirit}', 'kit', '[]'::jsonb),
            'dosing', '{"perGram": 0.5, "thinnedFrom": null}'::jsonb))))
    where plan ? 'herbLot';
