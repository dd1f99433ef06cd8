-- A student who was deleted is gone for everybody at once; what they have is taken away in parts.
alter table person
  drop constraint person_role_check,
  add constraint person_role_check check (role in ('teacher', 'student', 'parent', 'leaving')),
  add constraint person_leaving_plays check (role <> 'leaving' or not plays);
create index person_leaving on person (studio_id) where role = 'leaving';
