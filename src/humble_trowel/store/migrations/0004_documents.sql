-- Documents in a table of their own, each stored once (documents.py moves them), and the yard's lines as last worked out.
create table documents (
  digest text primary key,
  text text not null
) strict;

create trigger documents_no_update before update on documents
begin
  select raise(abort, 'documents are append-only');
end;

create trigger documents_no_delete before delete on documents
begin
  select raise(abort, 'documents are append-only');
end;

drop trigger revisions_no_update;
drop trigger revisions_no_delete;
drop trigger revisions_no_replace;
drop index revisions_edit_id;
alter table revisions rename to revisions_before;

create table revisions (
  job_id text not null references jobs (id),
  n integer not null check (n >= 1),
  kind text not null check (kind in ('edit', 'undo', 'redo', 'go-back')),
  author text not null,
  at text not null,
  summary text not null,
  document text not null references documents (digest),
  edits text not null default '[]' check (json_valid(edits)),
  edit_id text,
  content integer not null,
  parent integer,
  redo text not null default '[]' check (json_valid(redo)),
  primary key (job_id, n)
) strict;

create unique index revisions_edit_id on revisions (job_id, edit_id) where edit_id is not null;

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

create table yard_lines (
  job_id text primary key references jobs (id),
  made_from text not null,
  line text not null
) strict;
