-- Pages of paper on which a piece is read, with the systems of bars drawn over them by hand.
create table paper (
  id uuid primary key,
  studio_id uuid not null,
  piece_id uuid not null unique,
  layout jsonb not null,
  added_at timestamptz not null,
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);

-- The files as they came, byte for byte.
create table paper_file (
  paper_id uuid not null references paper (id) on delete cascade,
  number integer not null check (number > 0),
  file_name text not null check (length(file_name) between 1 and 200),
  original bytea not null,
  primary key (paper_id, number)
);

-- The pages as images, drawn once in the browser of whoever brought them.
create table paper_page (
  paper_id uuid not null references paper (id) on delete cascade,
  number integer not null check (number > 0),
  media_type text not null check (media_type in ('image/png', 'image/jpeg')),
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  image bytea not null,
  primary key (paper_id, number)
);
