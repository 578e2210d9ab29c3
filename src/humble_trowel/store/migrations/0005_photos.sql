-- Pictures, apart from the records that name them: as sent or made smaller, with a small one for lists. Append-only.
create table photos (
  job_id text not null references jobs (id),
  id text not null check (length(id) between 8 and 64),
  sent text not null,
  picture blob not null,
  small blob not null,
  width_px integer not null,
  height_px integer not null,
  at text not null,
  primary key (job_id, id)
) strict;

create trigger photos_no_update before update on photos
begin
  select raise(abort, 'photos are append-only');
end;

create trigger photos_no_delete before delete on photos
begin
  select raise(abort, 'photos are append-only');
end;

create trigger photos_no_replace before insert on photos
when exists (select 1 from photos where job_id = new.job_id and id = new.id)
begin
  select raise(abort, 'photo exists');
end;
