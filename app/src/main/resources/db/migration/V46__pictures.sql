-- Pictures of a batch, of something in the stores or the Cupboard, or of a reaction: decoded and written anew, without place and device.
create table picture (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    batch_id uuid,
    lot_id uuid,
    reaction_id uuid,
    at_what text not null check (at_what in ('LOOK', 'STRAINING', 'LABEL', 'REACTION')),
    words text not null check (length(words) <= 300),
    taken_at timestamptz not null,
    account_id uuid not null,
    width int not null check (width between 1 and 4000),
    height int not null check (height between 1 and 4000),
    whole bytea not null check (octet_length(whole) <= 2097152),
    small bytea not null check (octet_length(small) <= 131072),
    dropped_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id),
    foreign key (stillroom_id, reaction_id) references reaction (stillroom_id, id),
    foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id),
    check (num_nonnulls(batch_id, lot_id, reaction_id) = 1),
    check ((reaction_id is not null) = (at_what = 'REACTION'))
);
create index picture_batch on picture (stillroom_id, batch_id, taken_at desc) where batch_id is not null;
create index picture_lot on picture (stillroom_id, lot_id, taken_at desc) where lot_id is not null;
create index picture_reaction on picture (stillroom_id, reaction_id) where reaction_id is not null;
create index picture_account on picture (stillroom_id, account_id);
-- They are compressed already.
alter table picture alter column whole set storage external, alter column small set storage external;
