-- Samples for the laboratory: what was asked for, each step of its life with who and when, parcels, and what came back. All of
-- it only grows, but for what is still to be posted.

create table sample (
    id uuid primary key,
    survey_id uuid not null references survey,
    tree_id uuid not null references tree,
    code text not null unique, -- on its label; laboratories serve several surveys
    tissue text not null,
    analysis text not null,
    hybrid text -- id of the taxon whose parents' shares are wanted; null: the first one of the sheet
);

create index sample_of_tree on sample (tree_id);
create index sample_of_survey on sample (survey_id);

create trigger sample_stays before update or delete on sample
    for each row execute function refuse_change();

create table parcel (
    id uuid primary key,
    survey_id uuid not null references survey,
    code text not null unique
);

create index parcel_of_survey on parcel (survey_id);

create trigger parcel_stays before update or delete on parcel
    for each row execute function refuse_change();

create table sample_step (
    id uuid primary key,
    entry_order bigint generated always as identity,
    sample_id uuid not null references sample,
    step text not null check (step in ('asked', 'taken', 'packed', 'received', 'answered', 'weighed', 'lost', 'spoilt', 'withdrawn')),
    note text not null,
    parcel_id uuid references parcel,
    observer_id uuid references observer, -- null: the laboratory said so
    at timestamptz not null
);

create index sample_step_of_sample on sample_step (sample_id, entry_order desc);

create trigger sample_step_stays before update or delete on sample_step
    for each row execute function refuse_change();

-- what is still to be told to the laboratory, and how that goes
create table parcel_post (
    parcel_id uuid primary key references parcel,
    receipt text, -- null: it has not answered yet
    tries integer not null,
    trouble text not null, -- of the last try; empty: none
    next_at timestamptz not null -- infinity: it goes by hand
);

-- what the laboratory published of itself, each time that it changed
create table laboratory_methods (
    id bigint generated always as identity primary key,
    body text not null,
    came_at timestamptz not null
);

create trigger laboratory_methods_stay before update or delete on laboratory_methods
    for each row execute function refuse_change();

-- what came of the laboratory, as it came
create table laboratory_message (
    number bigint primary key,
    body text not null,
    methods_id bigint not null references laboratory_methods, -- what it published then
    sample_id uuid references sample, -- null: no sample of ours
    counts boolean not null,
    told text not null, -- why it counts for nothing, or what else is to be known of it; may be empty
    came_at timestamptz not null
);

create index laboratory_message_of_sample on laboratory_message (sample_id);

create trigger laboratory_message_stays before update or delete on laboratory_message
    for each row execute function refuse_change();
