-- Hibernate changes a row by its id alone; the stillroom is checked beside it but cannot be searched by there.
create unique index lot_id on lot (id);
create unique index jar_id on jar (id);
create unique index batch_id on batch (id);
