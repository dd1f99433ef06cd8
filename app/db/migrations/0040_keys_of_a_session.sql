-- The log tells in which keys a passage was played; few plays have one.
create index rep_in_key on rep (session_id, passage_id) where key is not null;
