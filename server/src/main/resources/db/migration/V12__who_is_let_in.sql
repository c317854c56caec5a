-- Tries at a call sign are counted by where they come from, so that nobody keeps anybody else out.

drop table sign_in_guard;

create table sign_in_guard (
    call_sign text not null,
    source text not null, -- an address, or a device that its observer signed in on before
    failures int not null,
    told int not null default 0, -- of the failures, those that the observer was told of
    last_failure_at timestamptz not null,
    primary key (call_sign, source)
);

create index sign_in_guard_age on sign_in_guard (last_failure_at);

create table known_device (
    observer_id uuid not null references observer,
    print text not null, -- SHA-256 of the device's cookie, in hex
    last_at timestamptz not null,
    primary key (observer_id, print)
);

-- A passphrase that was replaced by somebody's link is told to its observer, and marks what is signed soon after.

alter table observer add column reset_at timestamptz;
alter table observer add column reset_by uuid references observer;

alter table determination add column soon_after_reset boolean not null default false;

-- How long a session may lie still, as the leads set it.

create table house_rule (
    one boolean primary key default true check (one),
    idle_minutes int not null check (idle_minutes between 5 and 43200)
);

insert into house_rule (idle_minutes) values (720);

-- A link is made anew for whom it was made.

alter table invitation add constraint invitation_of_whom check (length(call_sign) between 1 and 40);
