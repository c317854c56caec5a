-- Taxa are found by their synonyms and their names in other languages, and trees that no sheet holds by the groups near them.

alter table library_name
    add column also_called text[] not null default '{}',
    drop constraint library_name_kind_check,
    add constraint library_name_kind_check check (kind in ('taxon', 'other', 'character', 'state'));

drop index library_name_words;

-- what is searched is written anew at the next start, from sheets that may name more
delete from library_name;

-- Pictures that a sheet shows where nothing is drawn, by the print of their cleaned file; sheets name them and never change.
create table sheet_picture (
    sha256 text primary key check (sha256 ~ '^[0-9a-f]{64}$'),
    media_type text not null,
    content bytea not null,
    kept_by uuid references observer, -- null: it came with a sheet from a folder
    kept_at timestamptz not null
);
