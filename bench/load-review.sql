-- Second readings of the 20,000 calls of a survey that load.sql made, all signed, and 10,000 open cases.
-- usage: psql -v name=... -f load-review.sql

select id as survey from survey where name = :'name' \gset
select id as version from sheet_version where group_id = 'birches' order by version desc limit 1 \gset
select jsonb_set(snapshot, '{photos}', '[]') as snapshot from determination
    where sheet_version_id = :'version' and outcome = 'taxon' limit 1 \gset

create temp table pair as
    select c.tree_id as tree, c.observer_id as first, row_number() over (order by c.id) as n,
        (select id from observer where id <> c.observer_id order by md5(c.id::text || id::text) limit 1) as second
    from call c join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id where p.survey_id = :'survey';

with made as (
    insert into call (id, tree_id, observer_id, sheet_version_id, group_id, month, stage, origin, habitat, tier,
        opened_at, taken_up_at, visit_begun_at)
    select gen_random_uuid(), tree, second, :'version', 'birches', 9, 'mature', 'wild', '{mesic}', 'tally', now(), now(), now()
    from pair returning id, tree_id
)
insert into reading (id, call_id, character_id, observed, certainty, recorded_at, read_at)
select gen_random_uuid(), m.id, c.character, jsonb_build_object('states', jsonb_build_array(
        case when hashtext(m.id::text || c.character) % 4 = 0 then c.other else c.state end), 'values', null, 'notSeen', false),
    'sure', now(), now()
from made m, (values ('bark-base', 'cracked', 'bosses'), ('twig-warts', 'few', 'many'),
    ('crown-twigs', 'drooping-tips', 'hanging'), ('twig-feel', 'rough', 'not-rough')) c (character, state, other);

insert into determination (id, tree_id, observer_id, sheet_version_id, outcome, taxon_id, note, voucher, confirming,
    reasons, snapshot, signed_at, recorded_at, signed_blind)
select gen_random_uuid(), tree, who, :'version', 'taxon',
    case when hashtext(tree::text || who::text) % 5 = 0 then 'pubescens' else 'pendula' end, '', '', '{}', '{}',
    :'snapshot', now(), now(), true
from pair, lateral (values (first), (second)) w (who);

insert into review_case (id, survey_id, plot_id, tree_id, group_id, reasons, state, readers, opened_at, changed_at)
select gen_random_uuid(), :'survey', t.plot_id, tree, 'birches',
    array[(array['contested', 'tier', 'control', 'drawn'])[1 + n % 4]],
    case when n % 3 = 0 then 'waiting' else 'table' end,
    case when n % 3 = 0 then array[first] else array[first, second] end,
    now() - make_interval(hours => n::int % 5000), now()
from pair join tree t on t.id = pair.tree where n <= 10000;

update tree set shown_to = k.readers from review_case k where k.tree_id = tree.id and k.state = 'waiting';

analyze tree, call, reading, determination, review_case;
