-- 3D models as they were given, so that a mould can be sliced again another way up.
create table mesh_file (
  id varchar(36) not null,
  name varchar(80) not null,
  bytes blob not null,
  kept_at timestamp with time zone not null,
  constraint mesh_file_key primary key (id)
);

-- One picture a mould, made small and without what cameras write into them.
create table mould_photo (
  mould_id varchar(80) not null,
  bytes blob not null,
  kept_at timestamp with time zone not null,
  constraint mould_photo_key primary key (mould_id)
);
