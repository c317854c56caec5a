-- What observers were shown of what others made of trees: one row a view. Blindness is decided from it.

create table sight (
    id bigint generated always as identity primary key,
    observer_id uuid not null references observer,
    scope text not null, -- bench, history, plot, queue, case, export, effects; before: not on record
    trees uuid[] not null check (cardinality(trees) > 0),
    seen_at timestamptz not null
);

create index sight_of_tree on sight using gin (trees);

create trigger sight_stays before update or delete on sight
    for each row execute function refuse_change();

-- Before now nobody kept record of it: whoever belonged to a survey can have seen what was signed in it by others,
-- unless it has been kept for a first blind reading ever since.

insert into sight (observer_id, scope, trees, seen_at)
select m.observer_id, 'before', array_agg(distinct d.tree_id), now()
from survey_member m
join plot p on p.survey_id = m.survey_id
join tree t on t.plot_id = p.id
join determination d on d.tree_id = t.id and d.observer_id <> m.observer_id
where not exists (select 1 from review_case k where k.tree_id = t.id and k.state in ('waiting', 'reading') and k.looks = 1
    and not m.observer_id = any(k.readers))
group by m.observer_id;
