-- What a lead plans for a season, and the lines that its map shows beside the plots.

create table season_plan (
    survey_id uuid primary key references survey,
    trees int not null check (trees between 1 and 1000000), -- to be signed for the first time
    begins date not null,
    ends date not null check (ends > begins),
    set_by uuid not null references observer,
    set_at timestamptz not null
);

create table season_lines (
    survey_id uuid primary key references survey,
    lines jsonb not null, -- each a list of points, each of those a longitude and a latitude
    set_by uuid not null references observer,
    set_at timestamptz not null
);
