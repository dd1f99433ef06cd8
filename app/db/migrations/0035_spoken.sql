-- How a teacher rates what is handed in: words of their own, points, or not at all.
alter table studio add column rating_scale jsonb not null
  default '{"kind": "words", "words": ["secure", "nearly", "not yet"]}';

-- A comment may be spoken: its sound lies beside the database, as takes do.
alter table hand_in_comment
  add column hash text check (hash ~ '^[0-9a-f]{64}$'),
  add column media_type text,
  add column bytes integer check (bytes > 0),
  drop constraint hand_in_comment_text_check,
  add constraint hand_in_comment_text_check
    check (length(text) <= 500 and (text <> '' or hash is not null)),
  add constraint hand_in_comment_sound_check
    check ((hash is null) = (media_type is null) and (hash is null) = (bytes is null));
create index hand_in_comment_by_hash on hand_in_comment (hash) where hash is not null;
