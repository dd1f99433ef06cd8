-- Going on in time, a play without a verdict can be left out of the count.
alter table person drop constraint person_no_verdict_check;
alter table person add constraint person_no_verdict_check
  check (no_verdict in ('wait', 'again', 'uncounted'));

-- Count-in and breather as the player set them at the stand; the next day begins with them.
alter table session_block add column pace jsonb;
