-- Ladders of the first form (one school, clicks a beat, one offer), and numbers of "consolidate" as
-- they were first stored, are carried over to the form that is read: the same rungs, the same words.
create function pg_temp.school_carried(school jsonb) returns jsonb language sql immutable as $$
  select case when school->>'name' = 'consolidate' and school->'numbers' ? 'by' then
    jsonb_build_object('name', 'consolidate', 'numbers', jsonb_build_object(
      'in', 'bpm',
      'below', school->'numbers'->'by', 'plays', school->'numbers'->'plays',
      'above', school->'numbers'->'by', 'over', school->'numbers'->'plays'))
    else school end
$$;

create function pg_temp.phases_carried(phases jsonb) returns jsonb language sql immutable as $$
  select jsonb_agg(
    phase || jsonb_build_object('school', pg_temp.school_carried(phase->'school')) order by place)
  from jsonb_array_elements(phases) with ordinality as each (phase, place)
$$;

create function pg_temp.ladder_carried(ladder jsonb) returns jsonb language sql immutable as $$
  select case
    when ladder ? 'school' then
      jsonb_build_object(
        'inContext', '{"bars": 0, "at": "top"}'::jsonb, 'days', 1, 'overspeed', null, 'warmUp', 0,
        'mostAbove', 0, 'part', null, 'setOn', null, 'of', null, 'steady', false, 'mark', null)
      || (ladder - 'school' - 'subdivision' - 'countInBars' - 'offerAfter')
      || jsonb_build_object(
        'phases', jsonb_build_array(jsonb_build_object(
          'school', pg_temp.school_carried(ladder->'school'),
          'start', null, 'target', null, 'tasks', null)),
        'afterFlawed', jsonb_build_object(
          'plays', ladder->'offerAfter', 'then', 'ask', 'steps', 1, 'seconds', 60),
        'click', jsonb_build_object(
          'pattern', jsonb_build_object('kind', 'beats', 'subdivision', ladder->'subdivision'),
          'silence', '{"kind": "never"}'::jsonb,
          'countIn', jsonb_build_object(
            'bars', ladder->'countInBars', 'inner', false, 'firstOnly', false, 'subdivision', 1),
          'breather', '{"kind": "seconds", "seconds": 4}'::jsonb,
          'levels', '{"accent": 100, "beat": 100, "subdivision": 100}'::jsonb,
          'drone', null))
    when ladder ? 'phases' then
      ladder || jsonb_build_object('phases', pg_temp.phases_carried(ladder->'phases'))
    else ladder end
$$;

update ladder set ladder = pg_temp.ladder_carried(ladder)
where ladder ? 'school' or ladder::text like '%"by"%';

update kept_ladder set ladder = pg_temp.ladder_carried(ladder)
where ladder ? 'school' or ladder::text like '%"by"%';

update exercise set passages = (
  select jsonb_agg(
    passage || jsonb_build_object('ladder', pg_temp.ladder_carried(passage->'ladder'))
    order by place)
  from jsonb_array_elements(passages) with ordinality as each (passage, place))
where jsonb_array_length(passages) > 0;
