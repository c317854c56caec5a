-- Sheets that people make: who made a version and why, what a regional sheet lays over its original, and drafts.

alter table sheet_version add column made_by uuid references observer; -- null: it came with the application
alter table sheet_version add column note text not null default '';
alter table sheet_version add column overlay jsonb; -- of a regional sheet; null: it stands by itself
alter table sheet_version add column overlay_on uuid references sheet_version; -- the version it was laid over
alter table sheet_version add check ((overlay is null) = (overlay_on is null));

create table sheet_draft (
    id uuid primary key,
    owner_id uuid not null references observer,
    group_id text, -- the group that it changes; null: it becomes a new one
    based_on uuid references sheet_version, -- what it was begun from; null: nothing of the library
    overlay_on uuid references sheet_version, -- of a regional sheet; null: it stands by itself
    body jsonb not null, -- as far as it has come, whether it keeps the rules or not
    revision int not null check (revision >= 1),
    begun_at timestamptz not null,
    changed_at timestamptz not null,
    unique (owner_id, group_id)
);
