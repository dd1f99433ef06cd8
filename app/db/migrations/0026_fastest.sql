-- The fastest gate that a passage has passed up to a day is asked for at every judged play.
create index session_block_fastest on session_block (passage_id, reached_tempo desc, day desc)
  where reached_tempo is not null and part is null;
