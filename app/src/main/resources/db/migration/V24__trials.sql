-- What a source of heat did to plain water, tried without any batch.
create table source_trial (
    stillroom_id uuid not null,
    id uuid not null,
    kit_id uuid not null,
    setting text check (setting in ('WARM', 'LOW', 'HIGH')),
    load_ul bigint not null check (load_ul > 0),
    end_celsius numeric(6, 2) not null,
    tau_seconds int not null check (tau_seconds > 0),
    tried_at timestamptz not null,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, kit_id) references kit (stillroom_id, id)
);
