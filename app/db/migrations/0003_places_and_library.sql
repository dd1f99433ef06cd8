-- Where in its ladder a block ended, so that the next day goes on there; `way` names the schools
-- in whose row the place is one.
alter table session_block
  add column end_phase integer not null default 0 check (end_phase >= 0),
  add column end_stage integer not null default 0 check (end_stage >= 0),
  add column way text not null default '';

-- How much of the passage a play was, and what was done instead of the whole task, if anything.
alter table rep
  add column share numeric not null default 1 check (share > 0),
  add column layer text;

-- Ladders that the studio keeps to use again.
create table kept_ladder (
  id uuid primary key,
  studio_id uuid not null references studio (id),
  name text not null check (length(name) between 1 and 80),
  ladder jsonb not null,
  kept_at timestamptz not null default now(),
  unique (studio_id, name)
);
