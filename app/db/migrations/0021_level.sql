-- What is believed of a passage after each day on which it was played, so that the next day goes on
-- from it. Estimates are counted anew by the application at its next start.
delete from passage_day;
alter table passage_day add column level jsonb not null;
-- No tempo above it is called comfortable: the fastest one passed, plus a step.
alter table passage_day add column most numeric;
-- From the fastest tempo that was passed to the ladder's next.
alter table session_block add column step numeric;
