-- One more survey of 2,500 plots, 100,000 trees and 20,000 calls, of the observers of the demo.
-- usage: psql -v name=... -f load.sql

select gen_random_uuid() as survey \gset

insert into survey (id, name, district, season, default_tier)
values (:'survey', :'name', 'Tarnholt', 2026, 'tally');
insert into survey_member select :'survey', id from observer;

insert into plot (id, survey_id, code, latitude, longitude, habitat)
select gen_random_uuid(), :'survey', 'Ride ' || to_char(n, 'FM0000'), 55.02 + n * 1e-5, -20.4 + n * 1e-5, '{mesic}'
from generate_series(1, 2500) n;

insert into tree (id, plot_id, tag, azimuth_degrees, distance_metres, diameter_millimetres, stage, origin, group_id,
    plain_taxon, stands_as, contested)
select gen_random_uuid(), p.id, tag, (tag * 137.5)::numeric % 360, 1 + tag % 14, 60 + tag * 7, 'mature', 'wild',
    case when tag % 4 > 0 then 'birches' end, case when tag % 4 = 0 then 'Quercus robur' end,
    case when tag % 4 = 0 then 'plain' when tag % 4 = 1 then 'taxon' else 'open' end, tag % 20 = 2
from plot p, generate_series(1, 40) tag where p.survey_id = :'survey';

with calls as (
    select t.id as tree, gen_random_uuid() as call, row_number() over () as n, t.contested
    from tree t join plot p on p.id = t.plot_id where p.survey_id = :'survey' and t.tag % 5 = 2
),
people as (select id, row_number() over (order by call_sign) as n, count(*) over () as inall from observer),
made as (
    insert into call (id, tree_id, observer_id, sheet_version_id, group_id, month, stage, origin, habitat, tier,
        opened_at, taken_up_at, visit_begun_at)
    select c.call, c.tree, o.id, v.id, 'birches', 9, 'mature', 'wild', '{mesic}', 'tally', now(), now(), now()
    from calls c join people o on o.n = 1 + c.n % o.inall,
        (select id from sheet_version where group_id = 'birches' order by version desc limit 1) v
    returning id, tree_id, observer_id
),
read as (
    insert into reading (id, call_id, character_id, observed, certainty, recorded_at, read_at)
    select gen_random_uuid(), m.id, c.character,
        jsonb_build_object('states', jsonb_build_array(c.state), 'values', null, 'notSeen', false), 'sure', now(), now()
    from made m, (values ('bark-base', 'cracked'), ('twig-warts', 'few'), ('crown-twigs', 'drooping-tips'),
        ('twig-feel', 'rough')) c (character, state)
)
insert into call_state (tree_id, survey_id, observer_id, call_id, readings, verdict, contested, thistle, changed_at, settles,
    checks, best_month, outlook_of)
select m.tree_id, :'survey', m.observer_id, m.id, 4, 'open', t.contested,
    (select thistle from call_state limit 1), now(),
    array(select round((0.1 + 0.07 * ((k + hashtext(m.tree_id::text)) % 12 + 12) % 12)::numeric, 3)::float8
        from generate_series(1, 12) k),
    array_fill('Resin warts'::text, array[12]), 7, now()
from made m join tree t on t.id = m.tree_id;

update call_state set outlook_of = changed_at where outlook_of is distinct from changed_at;
analyze survey, survey_member, plot, tree, call, reading, call_state;
