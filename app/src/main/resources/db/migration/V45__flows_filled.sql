-- What was moved before the sums began to follow: by a step of its own, so that nobody's writing waits for it.
insert into flow select f.* from stillroom s cross join lateral flow_missing(s.id) f;
insert into brewed (stillroom_id, batch_id, oil, kind_key, part, cut, moisture, day, millilitres, batches, grams)
    select * from brewed_source on conflict do nothing;
