-- What is made of an oil is a batch that stands in no vessel of the stores.
alter table batch drop constraint if exists batch_check;
alter table batch add constraint batch_stands check (
    case kind when 'MAKING' then jar_id is null and kit_id is null else (jar_id is null) <> (kit_id is null) end);

alter table movement drop constraint movement_cause_check;
alter table movement add constraint movement_cause_check check (cause in (
    'BOUGHT', 'GATHERED', 'DRIED', 'SPLIT', 'PROCESSED', 'MERGED', 'BLENDED', 'USED', 'STRAINED', 'SETTLED', 'BOTTLED', 'POURED',
    'DRAWN', 'GIVEN', 'SOLD', 'DISCARDED', 'CORRECTED', 'UNDONE'));

-- Why a made thing may be neither given away nor sold; nothing where it may.
alter table lot add column kept_back text check (length(kept_back) between 1 and 300);
alter table lot add constraint made_of_a_batch check (kind <> 'MADE' or batch_id is not null);
