-- Jobs, their plan revisions (append-only) and the crew's ways (append-only).
create table jobs (
  id text primary key,
  made_at text not null,
  archived_at text,
  deleted_at text,
  head integer not null default 0
) strict;

create table revisions (
  job_id text not null references jobs (id),
  n integer not null check (n >= 1),
  kind text not null check (kind in ('edit', 'undo', 'redo', 'go-back')),
  author text not null,
  at text not null,
  summary text not null,
  document text not null check (json_valid(document)),
  edits text not null default '[]' check (json_valid(edits)),
  edit_id text,
  content integer not null,
  parent integer,
  redo text not null default '[]' check (json_valid(redo)),
  primary key (job_id, n)
) strict;

create unique index revisions_edit_id on revisions (job_id, edit_id) where edit_id is not null;

create table ways (
  n integer primary key check (n >= 1),
  author text not null,
  at text not null,
  document text not null check (json_valid(document))
) strict;

create trigger revisions_no_update before update on revisions
begin
  select raise(abort, 'revisions are append-only');
end;

create trigger revisions_no_delete before delete on revisions
begin
  select raise(abort, 'revisions are append-only');
end;

create trigger revisions_no_replace before insert on revisions
when exists (select 1 from revisions where job_id = new.job_id and n = new.n)
begin
  select raise(abort, 'revision exists');
end;

create trigger ways_no_update before update on ways
begin
  select raise(abort, 'ways are append-only');
end;

create trigger ways_no_delete before delete on ways
begin
  select raise(abort, 'ways are append-only');
end;

create trigger ways_no_replace before insert on ways
when exists (select 1 from ways where n = new.n)
begin
  select raise(abort, 'ways revision exists');
end;
