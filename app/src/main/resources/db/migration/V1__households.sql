-- Households, their people, and what is looked up before a household is known.
create table stillroom (
    id uuid primary key,
    version int not null,
    name text not null check (length(name) between 1 and 80),
    unit_system text not null check (unit_system in ('METRIC', 'US')),
    cups text not null check (cups in ('US', 'METRIC', 'AUSTRALIAN', 'IMPERIAL')),
    temperature_scale text not null check (temperature_scale in ('CELSIUS', 'FAHRENHEIT')),
    currency char(3) not null,
    zone text not null,
    pantry_celsius numeric(4, 1) not null check (pantry_celsius between -5 and 40),
    room_celsius numeric(4, 1) not null check (room_celsius between 0 and 45),
    demo boolean not null default false,
    created_at timestamptz not null
);

create table account (
    id uuid primary key,
    version int not null,
    email text not null check (length(email) between 3 and 254),
    password_hash text not null,
    name text not null check (length(name) between 1 and 80),
    theme text not null default 'DEVICE' check (theme in ('DEVICE', 'LIGHT', 'DARK')),
    created_at timestamptz not null
);
create unique index account_email on account (lower(email));

create table membership (
    stillroom_id uuid not null references stillroom,
    account_id uuid not null references account,
    joined_at timestamptz not null,
    primary key (stillroom_id, account_id)
);
create index membership_account on membership (account_id, joined_at);

-- Attempts to sign in, by email and by address; old rows go as new ones come.
create table sign_in_attempt (
    who text not null,
    at timestamptz not null
);
create index sign_in_attempt_who on sign_in_attempt (who, at);

-- One row for each form sent: a repeated key is answered with its first result.
create table form_key (
    stillroom_id uuid not null references stillroom,
    key uuid not null,
    leads_to text not null,
    sent_at timestamptz not null,
    primary key (stillroom_id, key)
);
