-- How hard a passage's notes are, from 0 to 1; null where nobody has read them.
alter table passage add column hardness double precision check (hardness between 0 and 1);
