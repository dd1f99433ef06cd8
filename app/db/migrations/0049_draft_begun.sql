-- A draft that nobody has opened yet holds only what was given: what goes on beside it comes in at
-- its lesson.

alter table draft add column begun boolean not null default true;
