-- What an observer said they do not have: smelling, telling red from green.

alter table observer add column lacking text[] not null default '{}';

-- A survey says whether trees may be wounded (V1) and whether photos keep where they were taken.

alter table survey add column photo_position_kept boolean not null default false;

-- Sheets that ship with the application get a new version when they change; a person's versions are left alone.

alter table sheet_version add column built_in boolean not null default true;

-- An observer may move a tree to another group and back; each group is a call of its own, and the last one taken up
-- is the one in hand.

alter table call add column group_id text;
update call set group_id = (select group_id from sheet_version where sheet_version.id = call.sheet_version_id);
alter table call alter column group_id set not null;
alter table call add column taken_up_at timestamptz;
update call set taken_up_at = opened_at;
alter table call alter column taken_up_at set not null;
alter table call drop constraint call_tree_id_observer_id_key;
alter table call add constraint call_of_observer unique (tree_id, observer_id, group_id);

-- The caution about wounding a tree is read once a tree.

alter table call add column wounding_acknowledged_at timestamptz;

-- When the observer read it, by their own device; of two readings of one character the later one counts.

alter table reading add column read_at timestamptz;

-- What every member of the group shares: marked fits, fails, or taken back.

create table gate_entry (
    id uuid primary key,
    entry_order bigint generated always as identity,
    call_id uuid not null references call,
    item_id text not null,
    mark text not null check (mark in ('fits', 'fails', 'taken-back')),
    recorded_at timestamptz not null
);

create index gate_entry_of_call on gate_entry (call_id, entry_order);

create trigger gate_entry_stays before update or delete on gate_entry
    for each row execute function refuse_change();

-- Photos as they are kept: checked by content, without position unless the survey keeps it.

create table photo (
    id uuid primary key,
    entry_order bigint generated always as identity,
    call_id uuid not null references call,
    character_id text,
    media_type text not null check (media_type in ('image/jpeg', 'image/png', 'image/webp')),
    sent_sha256 text not null,
    sha256 text not null,
    size_bytes int not null check (size_bytes between 1 and 12582912),
    content bytea not null,
    recorded_at timestamptz not null
);

create index photo_of_call on photo (call_id, entry_order);

create trigger photo_stays before update or delete on photo
    for each row execute function refuse_change();
