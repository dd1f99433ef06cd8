-- Regions of tempo of a piece and what bends them; without them its tempo mark goes for all of it.
alter table piece add column tempi jsonb;
-- The beat unit in which a passage's tempi are told; without one that of its piece.
alter table passage add column beat_unit text;
-- The share of the full tempi at which it was played, where its passage goes over several.
alter table rep add column factor numeric;
