-- What a survey asks for and allows.

alter table survey add column groups text[] not null default '{}'; -- empty: every group of the library
alter table survey add column school text check (school in ('field-marks', 'close-characters'));
alter table survey add column default_tier text not null default 'tally' check (default_tier in ('tally', 'record', 'control'));
alter table survey add column wrong_yes double precision check (wrong_yes > 0);
alter table survey add column wrong_no double precision check (wrong_no > 0);
alter table survey add column control_used boolean not null default false;
alter table survey add column laboratory_used boolean not null default true;
alter table survey add column area jsonb; -- the district's outline: [[longitude, latitude], …] in degrees, WGS 84
alter table survey add column closed_at timestamptz;
alter table survey add column version int not null default 0;
alter table survey add constraint both_costs_or_none check ((wrong_yes is null) = (wrong_no is null));

-- Verified trees of the district, which feed the prior.

create table survey_record (
    survey_id uuid not null references survey,
    group_id text not null,
    taxon_id text not null,
    trees int not null check (trees >= 0),
    primary key (survey_id, group_id, taxon_id)
);

-- Where a plot lies and what it is like.

alter table plot add column latitude double precision check (latitude between -90 and 90);
alter table plot add column longitude double precision check (longitude between -180 and 180);
alter table plot add column radius_metres double precision not null default 15 check (radius_metres between 1 and 200);
alter table plot add column altitude_metres double precision check (altitude_metres between -500 and 9000);
alter table plot add column habitat text[] not null default '{}';
alter table plot add column notes text not null default '';
alter table plot add column closed_at timestamptz;
alter table plot add column version int not null default 0;
alter table plot add constraint whole_position check ((latitude is null) = (longitude is null));

-- A tree is a call on the Bench, of a group, or plain: a taxon that nobody doubts.

alter table tree alter column group_id drop not null;
alter table tree add column plain_taxon text; -- scientific name
alter table tree add constraint call_or_plain check ((group_id is null) <> (plain_taxon is null));
alter table tree alter column habitat drop not null; -- null: as its plot
alter table tree add column height_decimetres int check (height_decimetres between 1 and 1500);
alter table tree add column condition_notes text not null default '';
alter table tree add column clone_of uuid references tree; -- the stem that bears the call of its clone
alter table tree add column version int not null default 0;
create index tree_of_clone on tree (clone_of) where clone_of is not null;

-- What a tree stands as, kept beside it so that lists of many trees need not look at every signature. It follows
-- from the other tables: plain, open, or the outcome that was signed last.

alter table tree add column stands_as text not null default 'open'
    check (stands_as in ('plain', 'open', 'taxon', 'group', 'come-back', 'laboratory'));
alter table tree add column stands_name text; -- common name of what was signed
alter table tree add column come_back_month int check (come_back_month between 1 and 12);
alter table tree add column contested boolean not null default false; -- whether any observer's call is
update tree set stands_as = d.outcome, come_back_month = d.come_back_month,
    stands_name = coalesce((select t ->> 'commonName' from jsonb_array_elements(v.body -> 'taxa') t
        where t ->> 'id' = d.taxon_id), v.body -> 'fallback' ->> 'commonName')
from determination d join sheet_version v on v.id = d.sheet_version_id
where d.tree_id = tree.id and d.entry_order = (select max(entry_order) from determination where tree_id = tree.id);
create index tree_of_plot on tree (plot_id, stands_as, contested);
create index tree_contested on tree (plot_id) where contested;

-- What a call amounts to, as lists show it; reckoned whenever the call changes, its outlook in the background.

create table call_state (
    tree_id uuid not null references tree,
    observer_id uuid not null references observer,
    call_id uuid not null references call, -- of the observer's calls on the tree, the one in hand
    readings int not null,
    verdict text not null check (verdict in ('signable', 'open', 'unsettled')),
    contested boolean not null,
    thistle jsonb not null,
    changed_at timestamptz not null,
    settles double precision[], -- the chance that a visit settles it, January first; null: not reckoned yet
    checks text[], -- name of the check to begin with, by month; null where none can be made
    best_month int check (best_month between 1 and 12),
    outlook_of timestamptz, -- the state these were reckoned from
    primary key (tree_id, observer_id)
);

create index call_state_contested on call_state (observer_id) where contested;
create index call_state_to_play_through on call_state (changed_at)
    where contested and outlook_of is distinct from changed_at;

-- An observer's own short notes on a character, shown to them alone.

create table memory_aid (
    observer_id uuid not null references observer,
    group_id text not null,
    character_id text not null,
    body text not null check (length(body) between 1 and 500),
    changed_at timestamptz not null,
    primary key (observer_id, group_id, character_id)
);

-- People are invited, or let in anew, by a link that works once.

alter table observer add column disabled_at timestamptz;

create table invitation (
    id uuid primary key,
    token_sha256 text not null unique,
    call_sign text not null,
    role text not null check (role in ('crew', 'reviewer', 'lead')),
    survey_ids uuid[] not null,
    resets uuid references observer, -- whose passphrase it replaces; null: a new observer
    made_by uuid not null references observer,
    made_at timestamptz not null,
    expires_at timestamptz not null,
    used_at timestamptz
);

-- Who changed what, for ever.

create table audit_entry (
    id bigint generated always as identity primary key,
    happened_at timestamptz not null,
    observer_id uuid references observer, -- null: the application itself
    what text not null,
    survey_id uuid,
    plot_id uuid,
    tree_id uuid,
    before jsonb,
    after jsonb
);

create index audit_entry_of_tree on audit_entry (tree_id, id) where tree_id is not null;
create index audit_entry_of_survey on audit_entry (survey_id, id) where survey_id is not null;

create trigger audit_entry_stays before update or delete on audit_entry
    for each row execute function refuse_change();

-- A file on its way in: kept in pieces, checked row by row, then taken over whole or not at all.

create table import_file (
    id uuid primary key,
    survey_id uuid not null references survey,
    observer_id uuid not null references observer,
    name text not null,
    format text not null check (format in ('csv', 'geojson')),
    size_bytes bigint not null,
    headings text[] not null default '{}',
    mapping jsonb,
    state text not null check (state in ('sent', 'checking', 'checked', 'storing', 'stored', 'stopped', 'broken')),
    rows_done bigint not null default 0,
    share_done double precision not null default 0, -- of the work in hand, 0 to 1
    problem_count bigint not null default 0,
    plots_new int not null default 0,
    trees_new int not null default 0,
    told text not null default '', -- what went wrong with the whole of it
    stop_asked boolean not null default false,
    made_at timestamptz not null,
    alive_at timestamptz not null -- when whoever works on it last said so
);

create table import_piece (
    import_id uuid not null references import_file on delete cascade,
    part int not null,
    content bytea not null,
    primary key (import_id, part)
);

create table import_row (
    import_id uuid not null references import_file on delete cascade,
    place bigint not null, -- row of the file, its header being 1; or the feature, from 1
    plot_code text not null,
    plot jsonb, -- what the row says of its plot; null: nothing
    tag int, -- null: a plot alone
    tree jsonb,
    tree_id uuid not null default gen_random_uuid(),
    primary key (import_id, place)
);

create index import_row_of_tree on import_row (import_id, plot_code, tag);

create table import_problem (
    import_id uuid not null references import_file on delete cascade,
    place bigint not null,
    heading text not null,
    problem text not null
);

create index import_problem_by_place on import_problem (import_id, place);
create index determination_of_observer on determination (tree_id, observer_id, entry_order desc);
create index call_of_observer_by_tree on call (observer_id, tree_id, taken_up_at);

-- What the demo's trees were drawn as, kept aside so that a call can be compared with the truth.

create table demo_truth (
    tree_id uuid primary key references tree,
    taxon_id text not null
);
