-- Who has left stays named in the log; a link that ends lets somebody in.
alter table membership add left_at timestamptz;

create table invitation (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    secret_hash text not null check (length(secret_hash) = 64),
    made_by uuid not null,
    made_at timestamptz not null,
    ends_at timestamptz not null,
    used_by uuid,
    used_at timestamptz,
    withdrawn_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, made_by) references membership (stillroom_id, account_id)
);
create unique index invitation_secret on invitation (secret_hash);
