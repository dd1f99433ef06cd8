-- What an exercise was made from, and the key it was made in: it can be written in any other.
alter table piece add column made jsonb;
