-- What a form said and what it was answered with, so that a repeat is answered the same and another body under its key is refused.
alter table form_key add column path text;
alter table form_key add column body_hash text;
alter table form_key add column answer text;
alter table form_key add column notice_words text;
alter table form_key add column notice_undo text;
