-- The beat of its bar on which a play failed, where the player said so; and plays from memory.
alter table rep add column flaw_beat integer check (flaw_beat > 0);
alter table rep add column from_memory boolean not null default false;
