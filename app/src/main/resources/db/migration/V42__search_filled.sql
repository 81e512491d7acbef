-- What was written before the search began to follow: by a step of its own, so that nobody's writing waits for it.
insert into written (stillroom_id, source, id, about, sort, head, words, happened_at)
    select * from written_source on conflict do nothing;
