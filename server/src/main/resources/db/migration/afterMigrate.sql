-- After every migration: the role that the application works under may read and write rows, and no more. The tables belong to
-- the role that migrates. What is append-only, told by its trigger, may be added to alone, and is not emptied by anybody.

do $$
declare
    role text := '${role}';
    kept record;
begin
    execute format('grant usage on schema %I to %I', current_schema(), role);
    execute format('grant select, insert, update, delete on all tables in schema %I to %I', current_schema(), role);
    execute format('grant usage on all sequences in schema %I to %I', current_schema(), role);
    for kept in
        select distinct c.relname from pg_trigger t join pg_class c on c.oid = t.tgrelid
        join pg_namespace n on n.oid = c.relnamespace join pg_proc p on p.oid = t.tgfoid
        where n.nspname = current_schema() and p.proname = 'refuse_change'
    loop
        execute format('revoke update, delete, truncate on %I from %I', kept.relname, role);
        execute format('create or replace trigger %I before truncate on %I for each statement execute function refuse_change()',
            kept.relname || '_is_never_emptied', kept.relname);
    end loop;
    if role <> current_user then
        execute format('revoke insert, update, delete on flyway_schema_history from %I', role);
    end if;
end
$$;
