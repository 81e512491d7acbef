-- Devices that say something of themselves: probes that read an oil, scales. Of a token only its hash is kept.
create table device (
    stillroom_id uuid not null references stillroom (id),
    id uuid not null,
    kind text not null check (kind in ('PROBE', 'SCALE')),
    name text not null,
    token_hash text not null,
    account_id uuid not null,
    made_at timestamptz not null,
    seen_at timestamptz,
    revoked_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id)
);
-- Looked up before the household is known. A digest of 256 random bits does not come twice.
create index device_token on device (token_hash) where revoked_at is null;

-- What probes read, in thousandths of a degree Celsius. A probe reads one temperature at one moment, however often it is told.
create table probe_reading (
    stillroom_id uuid not null,
    probe_id uuid not null,
    at timestamptz not null,
    millidegrees int not null,
    primary key (stillroom_id, probe_id, at),
    foreign key (stillroom_id, probe_id) references device (stillroom_id, id)
);

create table weighing (
    stillroom_id uuid not null,
    scale_id uuid not null,
    at timestamptz not null,
    milligrams bigint not null,
    steady boolean not null,
    primary key (stillroom_id, scale_id, at),
    foreign key (stillroom_id, scale_id) references device (stillroom_id, id)
);

-- When a probe was in a batch, as its log says; written anew with every line that changes it.
create table probe_span (
    stillroom_id uuid not null,
    batch_id uuid not null,
    ordinal int not null,
    probe_id uuid not null,
    from_at timestamptz not null,
    until_at timestamptz,
    primary key (stillroom_id, batch_id, ordinal),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, probe_id) references device (stillroom_id, id)
);
create index probe_span_probe on probe_span (stillroom_id, probe_id, from_at);

-- How far a course of heat was added up, so that what comes later goes on from there; can be thrown away and worked out anew.
create table heat_checkpoint (
    stillroom_id uuid not null,
    batch_id uuid not null,
    stage text not null,
    at timestamptz not null,
    tally bytea not null,
    primary key (stillroom_id, batch_id, stage, at),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);
create table heat_outline (
    stillroom_id uuid not null,
    batch_id uuid not null,
    stage text not null,
    outline bytea not null,
    primary key (stillroom_id, batch_id, stage),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);

-- How often anything was changed in a stillroom that its open pages show.
create table revision (
    stillroom_id uuid not null references stillroom (id),
    revision bigint not null,
    primary key (stillroom_id)
);
