-- Observers, and what guards their signing in.

create table observer (
    id uuid primary key,
    call_sign text not null,
    passphrase_hash text not null,
    role text not null check (role in ('crew', 'reviewer', 'lead')),
    created_at timestamptz not null
);

create unique index observer_call_sign on observer (lower(call_sign));

create table sign_in_guard (
    call_sign text primary key,
    failures int not null,
    last_failure_at timestamptz not null
);

-- Sessions, as Spring Session lays them out.

create table spring_session (
    primary_id char(36) not null,
    session_id char(36) not null,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100),
    constraint spring_session_pk primary key (primary_id)
);

create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name),
    constraint spring_session_attributes_fk foreign key (session_primary_id)
        references spring_session (primary_id) on delete cascade
);

-- What was written once stays as it was written.

create function refuse_change() returns trigger language plpgsql as $$
begin
    raise exception '% is append-only: % refused', tg_table_name, tg_op;
end
$$;

-- The library: every version of every group sheet.

create table sheet_version (
    id uuid primary key,
    group_id text not null,
    version int not null check (version >= 1),
    sha256 text not null,
    body jsonb not null,
    created_at timestamptz not null,
    unique (group_id, version)
);

create trigger sheet_version_stays before update or delete on sheet_version
    for each row execute function refuse_change();

-- Surveys, plots, trees.

create table survey (
    id uuid primary key,
    name text not null,
    district text not null,
    season int not null,
    wounding_allowed boolean not null default false
);

create table survey_member (
    survey_id uuid not null references survey,
    observer_id uuid not null references observer,
    primary key (survey_id, observer_id)
);

create table plot (
    id uuid primary key,
    survey_id uuid not null references survey,
    code text not null,
    unique (survey_id, code)
);

create table tree (
    id uuid primary key,
    plot_id uuid not null references plot,
    tag int not null check (tag > 0),
    group_id text not null,
    azimuth_degrees double precision not null check (azimuth_degrees >= 0 and azimuth_degrees < 360),
    distance_metres double precision not null check (distance_metres >= 0),
    diameter_millimetres int not null check (diameter_millimetres between 1 and 2500),
    stage text not null check (stage in ('seedling', 'sapling', 'pole', 'mature')),
    origin text not null check (origin in ('wild', 'planted', 'unknown')),
    habitat text[] not null,
    unique (plot_id, tag)
);

-- A call: one observer's work on one tree, on the sheet version they began with.

create table call (
    id uuid primary key,
    tree_id uuid not null references tree,
    observer_id uuid not null references observer,
    sheet_version_id uuid not null references sheet_version,
    month int not null check (month between 1 and 12),
    stage text not null check (stage in ('seedling', 'sapling', 'pole', 'mature')),
    origin text not null check (origin in ('wild', 'planted', 'unknown')),
    habitat text[] not null,
    tier text not null check (tier in ('tally', 'record', 'control')),
    opened_at timestamptz not null,
    unique (tree_id, observer_id)
);

create table reading (
    id uuid primary key,
    entry_order bigint generated always as identity,
    call_id uuid not null references call,
    character_id text not null,
    observed jsonb not null,
    certainty text check (certainty in ('sure', 'fairly', 'unsure')),
    material text check (material in ('attached', 'fallen', 'litter')),
    position text check (position in ('sun', 'shade', 'sprout')),
    recorded_at timestamptz not null
);

create index reading_of_call on reading (call_id, entry_order);

create trigger reading_stays before update or delete on reading
    for each row execute function refuse_change();

create table determination (
    id uuid primary key,
    entry_order bigint generated always as identity,
    tree_id uuid not null references tree,
    observer_id uuid not null references observer,
    sheet_version_id uuid not null references sheet_version,
    outcome text not null check (outcome in ('taxon', 'group', 'come-back', 'laboratory')),
    taxon_id text,
    come_back_month int check (come_back_month between 1 and 12),
    note text not null,
    voucher text not null,
    confirming text[] not null,
    reasons jsonb not null,
    snapshot jsonb not null,
    signed_at timestamptz not null,
    check ((outcome = 'taxon') = (taxon_id is not null)),
    check ((outcome = 'come-back') = (come_back_month is not null))
);

create index determination_of_tree on determination (tree_id, entry_order);

create trigger determination_stays before update or delete on determination
    for each row execute function refuse_change();
