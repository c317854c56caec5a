-- The queue asks which trees an observer has seen, all at once.

create index sight_of_observer on sight (observer_id);
