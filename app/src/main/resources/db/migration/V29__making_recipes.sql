-- Recipes of things made, in their open form.
create table kept_formula (
    stillroom_id uuid not null references stillroom,
    id uuid not null,
    title text not null check (length(title) between 1 and 120),
    recipe jsonb not null,
    -- The making it was kept from; none for one planned or brought in.
    batch_id uuid,
    created_at timestamptz not null,
    removed_at timestamptz,
    primary key (stillroom_id, id),
    foreign key (stillroom_id, batch_id) references batch (stillroom_id, id)
);
