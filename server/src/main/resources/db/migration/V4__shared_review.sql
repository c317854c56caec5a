-- What a survey lets review: a share of the plain calls, drawn by a seed that nobody sees.

alter table survey add column plain_share double precision not null default 0.05 check (plain_share between 0 and 1);
alter table survey add column draw_seed bigint not null default (random() * 9e18)::bigint;

-- While a tree waits for a blind reading, only those who have signed it see what was made of it.

alter table tree add column shown_to uuid[]; -- null: to everybody
alter table tree add column reviewed boolean not null default false; -- whether what stands was settled by a review

-- A review ends in a determination of its own, which supersedes all before it.

alter table determination add column settles uuid;
alter table determination add column signed_blind boolean not null default false; -- nobody else's signature was shown
alter table determination add column also_by uuid[] not null default '{}'; -- whose names are on it beside the signer's

create table review_case (
    id uuid primary key,
    survey_id uuid not null references survey,
    plot_id uuid not null references plot,
    tree_id uuid not null references tree,
    group_id text not null,
    reasons text[] not null check (cardinality(reasons) > 0), -- contested, tier, control, drawn
    state text not null check (state in ('waiting', 'reading', 'table', 'laboratory', 'settled')),
    looks int not null default 1, -- how many blind readings were asked for
    readers uuid[] not null, -- who has signed the tree, in that order
    blind_readers uuid[] not null default '{}', -- who of them did so without seeing the others
    taken_by uuid references observer,
    taken_at timestamptz,
    changed_meanwhile boolean not null default false, -- whether an earlier reader signed anew during a blind reading
    outcome text check (outcome in ('agree', 'overrule', 'laboratory', 'not-separable', 'withdrawn')),
    opened_at timestamptz not null,
    changed_at timestamptz not null,
    version int not null default 0,
    check ((state = 'reading') = (taken_by is not null)),
    check ((state = 'settled') <= (outcome is not null))
);

create unique index review_case_open on review_case (tree_id) where state <> 'settled';
create index review_case_of_tree on review_case (tree_id, opened_at);
create index review_queue on review_case (survey_id, opened_at, id) where state <> 'settled';
create index review_settled on review_case (survey_id, changed_at) where state = 'settled';

-- What is said at the table, of the case or of one character.

create table review_word (
    id uuid primary key,
    entry_order bigint generated always as identity,
    case_id uuid not null references review_case,
    observer_id uuid not null references observer,
    character_id text,
    body text not null check (length(body) between 1 and 2000),
    written_at timestamptz not null
);

create index review_word_of_case on review_word (case_id, entry_order);

create trigger review_word_stays before update or delete on review_word
    for each row execute function refuse_change();

-- What was decided; third looks are decisions too.

create table review_decision (
    id uuid primary key,
    entry_order bigint generated always as identity,
    case_id uuid not null references review_case,
    observer_id uuid not null references observer,
    outcome text not null check (outcome in ('agree', 'overrule', 'third-look', 'laboratory', 'not-separable')),
    determination_id uuid references determination, -- what stands from then on; null: nothing yet
    reasons text not null,
    decided_at timestamptz not null
);

create index review_decision_of_case on review_decision (case_id, entry_order);

create trigger review_decision_stays before update or delete on review_decision
    for each row execute function refuse_change();

-- Lists of one survey must not grow with the others.

drop index tree_of_plot;
create index tree_of_plot on tree (plot_id)
    include (stands_as, contested, clone_of, come_back_month, shown_to);
alter table call_state add column survey_id uuid references survey;
update call_state set survey_id = plot.survey_id from tree join plot on plot.id = tree.plot_id
    where tree.id = call_state.tree_id;
alter table call_state alter column survey_id set not null;
drop index call_state_contested;
create index call_state_of_survey on call_state (survey_id, observer_id);
