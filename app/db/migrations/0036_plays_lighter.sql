-- Plays are a projection, written only from a session and its passages that are read before, and
-- counted again by the ten thousand: that both exist is not asked once more for each of them.
alter table rep drop constraint rep_session_id_fkey, drop constraint rep_passage_id_fkey;
