-- One picture a piece, made small and without what cameras write into it.
create table piece_photo (
  run_id varchar(36) not null,
  piece varchar(20) not null,
  bytes blob not null,
  kept_at timestamp with time zone not null,
  constraint piece_photo_key primary key (run_id, piece),
  constraint piece_photo_of foreign key (run_id) references run (id)
);
