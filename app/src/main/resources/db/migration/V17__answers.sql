-- An answer by hand is a line of the batch's log from now on; those from before keep having none.
alter table condition add by_hand boolean not null default false;
update condition set by_hand = true where answer is not null and answer_source is null;
