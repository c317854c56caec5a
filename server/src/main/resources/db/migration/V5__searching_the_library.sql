-- What the library's newest sheets name, to be searched by words and by words that are nearly right.

create extension if not exists pg_trgm;

create table library_name (
    sheet_version_id uuid not null references sheet_version,
    group_id text not null,
    kind text not null check (kind in ('taxon', 'character', 'state')),
    character_id text, -- of a character, or the one that a state belongs to
    name text not null,
    beside text not null, -- what stands beside it: scientific name, station, character
    place int not null
);

create index library_name_of_group on library_name (group_id);
create index library_name_words on library_name using gin (to_tsvector('english', name || ' ' || beside));
