-- Records written on site: append-only rows, each with a client-made id so that a resend counts once.
create table records (
  id text primary key check (length(id) between 8 and 64),
  job_id text not null references jobs (id),
  kind text not null,
  revision integer not null,
  who text not null,
  at_device text not null,
  at text not null,
  supersedes text references records (id),
  document text not null check (json_valid(document))
) strict;

create index records_of_job on records (job_id, kind, at);

create trigger records_no_update before update on records
begin
  select raise(abort, 'records are append-only');
end;

create trigger records_no_delete before delete on records
begin
  select raise(abort, 'records are append-only');
end;

create trigger records_no_replace before insert on records
when exists (select 1 from records where id = new.id)
begin
  select raise(abort, 'record exists');
end;
