-- A table may be in another encoding than UTF-8; which one is guessed when it comes, and its sender may say otherwise.

alter table import_file add column encoding text not null default 'UTF-8';

-- The median diameter, in millimetres, where it is so far off that the unit is asked for.

alter table import_file add column odd_median int;
