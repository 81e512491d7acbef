-- A making that was poured has a state of its own; what was done at the stores is known by the key it was said with; a day of opening
-- that somebody said is told from one that follows from a pouring.
alter table lot add column opened_said boolean not null default false;
alter table batch_facts drop constraint batch_facts_state_check;
alter table batch_facts drop constraint batch_facts_check;
update batch_facts set state = 'POURED' where kind = 'MAKING' and state = 'STRAINED';
alter table batch_facts add constraint batch_facts_state_check
    check (state in ('STANDING', 'STRAINED', 'POURED', 'DISCARDED', 'NEVER_STARTED'));
alter table batch_facts add constraint batch_facts_check
    check ((state in ('STRAINED', 'POURED', 'DISCARDED')) = (ended_on is not null));
create index batch_poured on batch_facts (stillroom_id, number desc) where state = 'POURED';

create table store_deed (
    stillroom_id uuid not null references stillroom,
    client_key uuid not null,
    done uuid not null,
    primary key (stillroom_id, client_key)
);
