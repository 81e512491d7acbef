-- Frozen plans: a length for every stage of the method; a stage says whether somebody stays beside it. All old ones have one stage.
update batch set plan = jsonb_set(jsonb_set(plan #- '{plan,request,circumstances,length}',
    '{plan,request,circumstances,lengths}', jsonb_build_array(plan #> '{plan,request,circumstances,length}')),
    '{plan,request,circumstances,method,stages,0,attended}', 'false')
    where plan #> '{plan,request,circumstances,length}' is not null;
