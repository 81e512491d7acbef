-- What was measured here and is not gone by any more: the shipped figure is, until something is measured anew.
alter table retention add column set_aside_at timestamptz;
