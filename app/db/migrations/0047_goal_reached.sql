-- A day asks nothing of an item whose goal was passed before.

alter table item_day drop constraint item_day_why_check;
alter table item_day add constraint item_day_why_check
  check (why in ('other-day', 'no-time', 'short', 'lesson', 'reached'));
