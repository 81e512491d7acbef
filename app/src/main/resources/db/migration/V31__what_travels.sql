-- What is wrong travels to everything made of it; what was made of something thrown out is asked about one by one.
alter table condition drop constraint condition_kind_check;
alter table condition add constraint condition_kind_check
    check (kind in ('MOULD', 'FERMENT', 'OFF', 'WATER', 'OVERHEATED', 'SCORCHED', 'ON_HOLD', 'IN_DOUBT'));
alter table condition add column travels boolean not null default false;
update condition set travels = true where kind in ('MOULD', 'FERMENT', 'OFF', 'ON_HOLD');

-- What a finding asks of somebody beside its answer, until it is ticked.
create table follow_up (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    condition_id uuid,
    kind text not null check (kind in ('TELL', 'SMELL')),
    lot_id uuid not null,
    -- What left the house; of what is to be smelled there is none.
    movement_id uuid,
    words text not null check (length(words) between 1 and 600),
    -- By what finding, in words, and by which line or deed it is asked, with which it is taken back.
    why text not null check (length(why) <= 600),
    source uuid,
    happened_at timestamptz not null,
    done_at timestamptz,
    done_by uuid,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, condition_id) references condition (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id),
    foreign key (stillroom_id, movement_id) references movement (stillroom_id, id),
    foreign key (stillroom_id, done_by) references membership (stillroom_id, account_id),
    check ((kind = 'TELL') = (movement_id is not null)),
    check ((done_at is null) = (done_by is null))
);
create unique index follow_up_once on follow_up (stillroom_id, condition_id, kind, lot_id, movement_id) nulls not distinct;
create index follow_up_open on follow_up (stillroom_id, happened_at) where done_at is null;
create index follow_up_of_source on follow_up (stillroom_id, source) where source is not null;
create index follow_up_of_movement on follow_up (stillroom_id, movement_id) where movement_id is not null;

-- How cold a course of heat was seen to begin: only what began below the band teaches how long the warm-up takes.
alter table source_curve add column began_celsius numeric(5, 2);
alter table source_trial add column began_celsius numeric(5, 2);
