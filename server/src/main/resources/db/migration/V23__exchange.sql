-- Under what a survey's archive may be used, and what of it is told less exactly than it is known.

create table exchange_rule (
    survey_id uuid primary key references survey,
    license text not null check (length(license) <= 500),
    rights_holder text not null check (length(rights_holder) <= 200),
    pseudonyms boolean not null, -- whether observers are numbered instead of called by their call signs
    coarse_metres int not null check (coarse_metres between 0 and 100000), -- 0: positions are told as they are known
    coarse_taxa jsonb not null, -- each {groupId, taxonId}: plots with a tree of these are told less exactly
    set_by uuid not null references observer,
    set_at timestamptz not null
);
