-- The rule by which the teacher has practice graded; none: the usual one is offered.
alter table studio add column grading jsonb;
