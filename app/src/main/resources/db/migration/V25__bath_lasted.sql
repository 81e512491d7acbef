-- How long the water of a bath lasted before it was last topped up, by batch.
create table bath_lasted (
    stillroom_id uuid not null,
    batch_id uuid not null,
    lasted_seconds int not null check (lasted_seconds > 0),
    topped_at timestamptz not null,
    primary key (stillroom_id, batch_id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);

create index bath_lasted_newest on bath_lasted (stillroom_id, topped_at desc);
