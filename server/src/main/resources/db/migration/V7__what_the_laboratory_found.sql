-- A review that waited for the laboratory ends with what it found, which may be a taxon that nobody had signed.

alter table review_case drop constraint review_case_outcome_check;
alter table review_case add constraint review_case_outcome_check
    check (outcome in ('agree', 'overrule', 'laboratory', 'laboratory-result', 'not-separable', 'withdrawn'));

alter table review_decision drop constraint review_decision_outcome_check;
alter table review_decision add constraint review_decision_outcome_check
    check (outcome in ('agree', 'overrule', 'third-look', 'laboratory', 'laboratory-result', 'not-separable'));
