-- Before anything is cut: who approved which call for control, the last look at the tree, and what was done there. All of it
-- only grows; the last word about a tree counts. A contractor sees the cards of approved trees and nothing else.

alter table observer drop constraint observer_role_check;
alter table observer add constraint observer_role_check check (role in ('contractor', 'crew', 'reviewer', 'lead'));
alter table invitation drop constraint invitation_role_check;
alter table invitation add constraint invitation_role_check check (role in ('contractor', 'crew', 'reviewer', 'lead'));

create table control_approval (
    id uuid primary key,
    entry_order bigint generated always as identity,
    survey_id uuid not null references survey,
    tree_id uuid not null references tree,
    determination_id uuid not null references determination, -- what stood when it was approved
    approved boolean not null, -- false: it was taken back
    observer_id uuid not null references observer,
    recorded_at timestamptz not null
);

create index control_approval_of_tree on control_approval (tree_id, entry_order desc);

create trigger control_approval_stays before update or delete on control_approval
    for each row execute function refuse_change();

create table last_look (
    id uuid primary key,
    entry_order bigint generated always as identity,
    survey_id uuid not null references survey,
    tree_id uuid not null references tree,
    approval_id uuid not null references control_approval,
    observer_id uuid not null references observer,
    sheet_version_id uuid not null references sheet_version,
    made jsonb not null, -- what was asked and read
    result jsonb not null,
    verdict text not null check (verdict in ('confirmed', 'not-yet', 'do-not-cut')),
    sent_sha256 text not null,
    looked_at timestamptz not null,
    recorded_at timestamptz not null
);

create index last_look_of_tree on last_look (tree_id, entry_order desc);

create trigger last_look_stays before update or delete on last_look
    for each row execute function refuse_change();

create table control_work (
    id uuid primary key,
    entry_order bigint generated always as identity,
    survey_id uuid not null references survey,
    tree_id uuid not null references tree,
    after_id uuid references control_work, -- the word before it that its observer knew
    what text not null check (what in ('cut', 'treated', 'left', 'wrong-tree')),
    done_on date not null,
    note text not null,
    observer_id uuid not null references observer,
    recorded_at timestamptz not null
);

create index control_work_of_tree on control_work (tree_id, entry_order desc);

create trigger control_work_stays before update or delete on control_work
    for each row execute function refuse_change();
