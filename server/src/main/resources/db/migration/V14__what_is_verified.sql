-- Trees whose taxon is known: settled cases that a lead marks as verified, and files of specimens with a truth.

create table verification (
    id uuid primary key,
    entry_order bigint generated always as identity,
    case_id uuid not null references review_case,
    verified boolean not null, -- the last mark of a case counts
    observer_id uuid not null references observer,
    recorded_at timestamptz not null
);

create index verification_of_case on verification (case_id, entry_order desc);

create trigger verification_stays before update or delete on verification
    for each row execute function refuse_change();

create table verified_file (
    id uuid primary key,
    group_id text not null,
    name text not null,
    body text not null, -- specimens, each with its truth, as they were sent
    trees int not null,
    added_by uuid not null references observer,
    added_at timestamptz not null
);

create index verified_file_of_group on verified_file (group_id);
