-- Chips of colours, and pictures of them; nothing of it is worked out from anything else.
create table swatch_chip (
  id varchar(36) not null,
  colour_name varchar(80) not null,
  made_on date not null,
  format int not null,
  document clob not null,
  constraint swatch_chip_key primary key (id)
);
create table swatch_photo (
  chip_id varchar(36) not null,
  bytes blob not null,
  kept_at timestamp with time zone not null,
  constraint swatch_photo_key primary key (chip_id),
  constraint swatch_photo_of foreign key (chip_id) references swatch_chip (id) on delete cascade
);
