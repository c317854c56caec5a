-- Tokens by which an observer's own scripts call the API. Only their prints are kept, so nobody can read one from here.

create table api_token (
    id uuid primary key,
    observer_id uuid not null references observer,
    name text not null,
    scope text not null check (scope in ('reading', 'survey')),
    survey_id uuid references survey, -- the one that it reads and writes; null: it only reads
    token_sha256 text not null unique,
    made_at timestamptz not null,
    last_used_at timestamptz,
    check ((scope = 'survey') = (survey_id is not null))
);

create index api_token_of_observer on api_token (observer_id, made_at);
