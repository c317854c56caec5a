-- A tree is read over several visits, and each reading keeps the month of its own: a call knows the months of its earlier
-- visits in their order, and a reading which of them it was made on (from 0; the last is the one in hand, in call.month).

alter table call add column earlier_months int[] not null default '{}';
alter table call add column visit_begun_at timestamptz;
alter table reading add column visit int not null default 0 check (visit >= 0);

-- Readings on record belong to visits by the calendar months of their times; the last of them is what call.month says.

create temporary table visit_of_reading on commit drop as
    select id, call_id, month, dense_rank() over (partition by call_id order by month) - 1 as visit
    from (
        select id, call_id, date_trunc('month', coalesce(read_at, recorded_at)) as month
        from reading
    ) dated;

alter table reading disable trigger reading_stays;
update reading set visit = dated.visit
    from visit_of_reading dated where dated.id = reading.id and dated.visit > 0;
alter table reading enable trigger reading_stays;

update call set earlier_months = earlier.months
    from (
        select call_id, array_agg(extract(month from month)::int order by visit) as months
        from (
            select distinct call_id, visit, month, max(visit) over (partition by call_id) as last from visit_of_reading
        ) visits
        where visit < last
        group by call_id
    ) earlier
    where earlier.call_id = call.id;

update call set visit_begun_at =
    coalesce((select max(coalesce(read_at, recorded_at)) from reading where call_id = call.id), opened_at);
alter table call alter column visit_begun_at set not null;
