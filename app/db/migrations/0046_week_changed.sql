-- The first day from which a week was changed while it was on, until the student has seen that.
alter table assignment add column changed_on date;
