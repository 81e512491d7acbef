-- The stillroom stands in every unique index and every foreign key of a household's tables, so that it can be the key the
-- data are divided by. Who wrote is named as a member; who has left is kept as one.
insert into membership (stillroom_id, account_id, joined_at, left_at)
select stillroom_id, account_id, min(at), max(at)
from (
    select stillroom_id, account_id, recorded_at as at from movement
    union all select stillroom_id, account_id, recorded_at from batch_entry
    union all select stillroom_id, account_id, recorded_at from plan_revision
    union all select stillroom_id, account_id, recorded_at from weigh_in
    union all select stillroom_id, found_by, found_at from condition
    union all select stillroom_id, answered_by, answered_at from condition where answered_by is not null
) as wrote
where account_id is not null
group by stillroom_id, account_id
on conflict do nothing;

alter table movement
    drop constraint movement_account_id_fkey,
    add foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id);
alter table batch_entry
    drop constraint batch_entry_account_id_fkey,
    add foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id);
alter table plan_revision
    drop constraint plan_revision_account_id_fkey,
    add foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id);
alter table weigh_in
    drop constraint weigh_in_account_id_fkey,
    add foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id);
alter table condition
    drop constraint condition_found_by_fkey,
    drop constraint condition_answered_by_fkey,
    add foreign key (stillroom_id, found_by) references membership (stillroom_id, account_id),
    add foreign key (stillroom_id, answered_by) references membership (stillroom_id, account_id);

-- Rows are changed by stillroom and id now.
drop index lot_id;
drop index jar_id;
drop index batch_id;

-- Looked up before the household is known. A digest of 256 random bits does not come twice.
drop index calendar_feed_secret;
create index calendar_feed_secret on calendar_feed (secret_hash);
drop index invitation_secret;
create index invitation_secret on invitation (secret_hash);
