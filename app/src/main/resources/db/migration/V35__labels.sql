-- What was printed, or written by hand: a label is read years later by its code.
create table label_printing (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    -- Everything that was printed at once, and in which order.
    job uuid not null,
    place integer not null check (place >= 0),
    code char(8) not null check (code ~ '^[A-HJ-NP-Z2-9]{8}$'),
    -- In which order they were printed, whatever the clock says.
    at_number bigint generated always as identity,
    kind text not null check (kind in ('BATCH', 'LOT', 'DOT', 'LID', 'SHEET')),
    -- The batch or the lot it is on.
    about uuid not null,
    copies integer not null check (copies between 1 and 1000),
    -- Its paper by millimetres, and where on it was begun; none of what was written by hand.
    paper text check (length(paper) <= 300),
    first_at integer not null check (first_at >= 0),
    offset_right numeric(5, 2) not null,
    offset_down numeric(5, 2) not null,
    for_sale boolean not null,
    by_hand boolean not null,
    -- What has to be so still for it to be true.
    name text not null check (length(name) <= 400),
    day date,
    wrong text not null check (length(wrong) <= 600),
    said jsonb not null,
    printed_at timestamptz not null,
    account_id uuid not null,
    taken_back_at timestamptz,
    primary key (stillroom_id, id),
    unique (stillroom_id, job, place),
    unique (stillroom_id, code),
    foreign key (stillroom_id, account_id) references membership (stillroom_id, account_id),
    check (by_hand = (paper is null))
);
create index label_printing_of on label_printing (stillroom_id, about, at_number desc) where taken_back_at is null;
create index label_printing_newest on label_printing (stillroom_id, at_number desc);

-- Words of the household's own on the labels of a lot.
create table label_words (
    stillroom_id uuid not null references stillroom,
    lot_id uuid not null,
    title text not null check (length(title) <= 80),
    words text not null check (length(words) <= 200),
    primary key (stillroom_id, lot_id),
    foreign key (stillroom_id, lot_id) references lot (stillroom_id, id)
);

-- How a household's labels look, and where its printer puts them.
create table label_look (
    stillroom_id uuid not null primary key references stillroom,
    frame text not null check (frame in ('NONE', 'LINE', 'DOUBLE')),
    mark text check (mark in ('LEAF', 'DROP', 'SPRIG', 'JAR', 'MOON', 'FLOWER')),
    -- Decoded and written anew by the application itself.
    picture bytea check (length(picture) <= 1500000),
    picture_wide integer,
    picture_high integer,
    own_line text not null check (length(own_line) <= 120),
    region text not null check (region in ('EU_UK', 'ELSEWHERE')),
    smallest_for_sale numeric(4, 2) check (smallest_for_sale between 0.5 and 5),
    offset_right numeric(5, 2) not null check (offset_right between -15 and 15),
    offset_down numeric(5, 2) not null check (offset_down between -15 and 15),
    paper text check (length(paper) <= 60),
    check ((picture is null) = (picture_wide is null) and (picture is null) = (picture_high is null))
);

create table label_paper (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    paper text not null check (length(paper) <= 300),
    added_at timestamptz not null,
    dropped_at timestamptz,
    primary key (stillroom_id, id)
);
