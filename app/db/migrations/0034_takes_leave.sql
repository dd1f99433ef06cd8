-- Parents hear takes by the student's or teacher's leave only.
alter table person add column parents_hear boolean not null default false;
