-- A passage may begin within its first bar, and may be one hand or one voice of its bars.
alter table passage add column start_beats integer not null default 0 check (start_beats >= 0);
alter table passage add column only_notes text not null default 'all'
  check (only_notes in ('all', 'upper', 'lower', 'voice-1', 'voice-2'));
