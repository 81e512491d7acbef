-- What somebody used and how her skin took it is taken back or put back: its pictures go along.
create function follow_reaction() returns trigger language plpgsql as $$
begin
    update picture set dropped_at = new.dropped_at where stillroom_id = new.stillroom_id and reaction_id = new.id;
    return new;
end $$;
create trigger reaction_pictures after update of dropped_at on reaction
    for each row when (old.dropped_at is distinct from new.dropped_at) execute function follow_reaction();
create index picture_dropped on picture (dropped_at) where dropped_at is not null;
