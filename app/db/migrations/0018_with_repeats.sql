-- The bars of a passage in the order in which they are played, where it is played with its repeats.
alter table passage add column played_order integer[];
