-- The fastest tempo to which a passage went by the clock, where nobody was asked for a verdict.
alter table session_block add column by_clock numeric;
