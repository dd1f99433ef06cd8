-- A room that nobody may enter just now: a file is being read into it, under a lease that is renewed
-- while that goes on; or its plays could not be counted when the server started.
alter table studio
  add column shut text check (shut in ('filling', 'uncounted')),
  add column lease uuid,
  add column lease_until timestamptz,
  -- Who asked for it, and is all that stays when the lease runs out.
  add column lease_holder uuid,
  add constraint studio_lease_whole check (
    (shut is not distinct from 'filling') = (lease is not null)
    and (lease is null) = (lease_until is null)
    and (lease is null) = (lease_holder is null)
  );
