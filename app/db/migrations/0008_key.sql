-- The key in which a play was, where the ladder goes through keys.
alter table rep add column key text;
