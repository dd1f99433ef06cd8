-- What a teacher is typing on a student's lesson and has not saved: kept at each pause, so that no
-- reload and no other device loses it. It is no draft: the next save takes it away.
create table lesson_typed (
  studio_id uuid not null,
  person_id uuid not null,
  teacher_id uuid not null,
  typed jsonb not null,
  primary key (person_id, teacher_id),
  foreign key (studio_id, person_id) references person (studio_id, id) on delete cascade,
  foreign key (studio_id, teacher_id) references person (studio_id, id) on delete cascade
);
