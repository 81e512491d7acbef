-- What a source of heat did in a batch's watched sessions, by the readings of its log; written anew with every line that changes them.
create table source_curve (
    stillroom_id uuid not null,
    batch_id uuid not null,
    ordinal int not null,
    kit_id uuid not null,
    setting text check (setting in ('WARM', 'LOW', 'HIGH')),
    load_ul bigint not null check (load_ul > 0),
    end_celsius numeric(6, 2) not null,
    tau_seconds int not null check (tau_seconds > 0),
    primary key (stillroom_id, batch_id, ordinal),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, kit_id) references kit (stillroom_id, id)
);
create index source_curve_kit on source_curve (stillroom_id, kit_id, batch_id);
