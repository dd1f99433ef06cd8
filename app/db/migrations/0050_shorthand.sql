-- A player's own codes for what they write down by hand; null as long as they have none of their own.

alter table person add column shorthand jsonb;
