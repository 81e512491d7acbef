-- How a making turned out is what it taught.
create index entry_turned_out on batch_entry (stillroom_id, happened_at desc)
    where kind = 'PAN' and value #>> '{step,what}' = 'turned-out';

-- Whether what a batch or making taught was heeded at another, by whom it was said.
create table lesson_answer (
    stillroom_id uuid not null references stillroom,
    taught_by uuid not null,
    batch_id uuid not null,
    heeded boolean not null,
    said_by uuid not null,
    said_at timestamptz not null,
    primary key (stillroom_id, taught_by, batch_id),
    check (taught_by <> batch_id),
    foreign key (stillroom_id, said_by) references membership (stillroom_id, account_id),
    foreign key (stillroom_id, taught_by) references batch (stillroom_id, id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);

-- What came into a lot: a handful, where what was taken of it may be thousands. The walk to what is in a thing goes by it.
create index movement_in on movement (stillroom_id, lot_id) where amount > 0;
