-- What came in by a file can be taken back as long as nothing of it was touched, so each plot and tree remembers its file.

alter table plot add column imported_by uuid references import_file on delete set null;
alter table tree add column imported_by uuid references import_file on delete set null;

create index plot_of_import on plot (imported_by) where imported_by is not null;
create index tree_of_import on tree (imported_by) where imported_by is not null;

alter table import_file drop constraint import_file_state_check;
alter table import_file add constraint import_file_state_check
    check (state in ('sent', 'checking', 'checked', 'storing', 'stored', 'stopped', 'broken', 'taken-back'));
