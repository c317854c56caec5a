-- A signature that was given without a network is handed in later: when it was given, and when it came into the record.

alter table determination add column recorded_at timestamptz;
alter table determination disable trigger determination_stays;
update determination set recorded_at = signed_at;
alter table determination enable trigger determination_stays;
alter table determination alter column recorded_at set not null;
