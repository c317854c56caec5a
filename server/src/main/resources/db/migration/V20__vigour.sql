-- How a tree does, as its crew noted it, and whether it is one to favour. Notes that decide nothing.

alter table tree add column vigour jsonb; -- leaders, dieback, crown, form, damages, dead; null: nothing was noted
alter table tree add column favoured boolean not null default false;
