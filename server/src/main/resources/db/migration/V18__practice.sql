-- Practice on trees that nobody grew: what each observer made of them, what a survey asks for before it takes a name by itself,
-- and sets that a crew calls together. A tree is its sheet, its pair and its seed.

create table practice_set (
    id uuid primary key,
    survey_id uuid not null references survey,
    group_id text not null,
    sheet_version_id uuid not null references sheet_version,
    trees jsonb not null, -- each {seed, one, other}
    opened_by uuid not null references observer,
    opened_at timestamptz not null,
    closed_at timestamptz
);

create index practice_set_of_survey on practice_set (survey_id, opened_at desc);

create table practice_try (
    id uuid primary key,
    entry_order bigint generated always as identity,
    observer_id uuid not null references observer,
    sheet_version_id uuid not null references sheet_version,
    group_id text not null,
    set_id uuid references practice_set,
    begun_at timestamptz not null,
    ended_at timestamptz not null,
    belief double precision check (belief between 0.5 and 0.99),
    made jsonb not null, -- the tree and what was entered
    result jsonb not null,
    sent_sha256 text not null,
    recorded_at timestamptz not null
);

create index practice_try_of_observer on practice_try (observer_id, ended_at);
create index practice_try_of_set on practice_try (set_id) where set_id is not null;

create trigger practice_try_stays before update or delete on practice_try
    for each row execute function refuse_change();

create table practice_rule (
    id uuid primary key,
    entry_order bigint generated always as identity,
    survey_id uuid not null references survey,
    group_id text not null,
    needed int not null check (needed between 0 and of_trees), -- the last of a survey and group counts; 0: nothing is asked
    of_trees int not null check (of_trees between 1 and 100),
    set_by uuid not null references observer,
    recorded_at timestamptz not null
);

create index practice_rule_of_survey on practice_rule (survey_id, group_id, entry_order desc);

create trigger practice_rule_stays before update or delete on practice_rule
    for each row execute function refuse_change();

create table practice_withheld (
    case_id uuid primary key references review_case,
    withheld_by uuid not null references observer,
    recorded_at timestamptz not null
);

create table practice_field_try (
    id uuid primary key,
    entry_order bigint generated always as identity,
    observer_id uuid not null references observer,
    case_id uuid not null references review_case,
    outcome text not null check (outcome in ('taxon', 'none-of-these', 'open')),
    taxon_id text,
    belief double precision check (belief between 0.5 and 0.99),
    verdict text not null check (verdict in ('right', 'wrong', 'open')),
    ended_at timestamptz not null,
    recorded_at timestamptz not null
);

create index practice_field_try_of_observer on practice_field_try (observer_id, case_id);

create trigger practice_field_try_stays before update or delete on practice_field_try
    for each row execute function refuse_change();
