-- The bars of a passage that a ladder was for, where it was not for all of them: what it reaches is
-- reached on those, and not on the passage.
alter table session_block add column part jsonb;
