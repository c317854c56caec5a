-- What an observer saw last of each character of a call, beside the call, so that nobody who compares many calls gathers all
-- readings: {character: [state, ...] or [value, ...]}, empty where it could not be seen or was taken back.

alter table call add column seen jsonb not null default '{}';

create function seen_of(observed jsonb) returns jsonb language sql immutable as $$
    select coalesce(nullif(observed -> 'states', 'null'), nullif(observed -> 'values', 'null'), '[]')
$$;

update call set seen = r.seen from (
    select call_id, jsonb_object_agg(character_id, seen_of(observed)) seen from (
        select distinct on (call_id, character_id) call_id, character_id, observed from reading
        order by call_id, character_id, entry_order desc
    ) last group by call_id
) r where r.call_id = call.id;

create function note_what_was_seen() returns trigger language plpgsql as $$
begin
    update call set seen = seen || jsonb_build_object(new.character_id, seen_of(new.observed)) where id = new.call_id;
    return null;
end
$$;

create trigger reading_is_seen after insert on reading for each row execute function note_what_was_seen();
