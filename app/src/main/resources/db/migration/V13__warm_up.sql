-- How long heat took to come into its band, by the reading that showed it.
create table warm_up (
    stillroom_id uuid not null,
    id uuid not null,
    minutes int not null check (minutes between 0 and 600),
    primary key (stillroom_id, id),
    foreign key (stillroom_id, id) references batch_entry (stillroom_id, id)
);
