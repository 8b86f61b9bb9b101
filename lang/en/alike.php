<?php

declare(strict_types=1);

return [
    'title' => 'Are we marking alike?',
    'another' => 'Another marker',
    'waits' => 'You have marks to make here, or may get some from a sample that is still to be drawn. Until they are made this page tells of your own marks only, so that none of yours rests on what others gave.',
    'waits_row' => 'after your own marks',
    'interval' => ':low to :high',
    'basis' => '{0} No script here has two marks made without seeing the other; :firsts have a first mark.|{1} 1 script has two marks made without seeing the other, of :firsts with a first mark.|[2,*] :pairs scripts have two marks made without seeing the other, of :firsts with a first mark.',
    'weighted' => 'They are a sample, so each is weighted by 1 over its chance of being picked: the figures speak for all scripts, not for the ones that were chosen.',
    'apart' => '{1} 1 second mark was made seeing the first and is counted apart: it cannot show who marks how.|[2,*] :count second marks were made seeing the first and are counted apart: they cannot show who marks how.',
    'no_chance' => '{1} 1 second mark is left out, since its script was not drawn in a sample.|[2,*] :count second marks are left out, since their scripts were not drawn in a sample.',
    'too_few' => 'Too few to say: differences need :least scripts with two blind marks, and there are :pairs.',
    'too_few_at_all' => 'there are too few scripts with two marks',
    'too_few_for' => 'Too few to say: an interval needs :least scripts with two blind marks.',
    'not_available' => 'Cannot be given: :why.',
    'mean_none' => 'First and second marks are alike on average: they lie :by apart, and the true figure lies somewhere from :interval, which takes in 0.',
    'mean_higher' => 'First marks lie :by higher than second marks on average; the true figure lies somewhere from :interval.',
    'mean_lower' => 'First marks lie :by lower than second marks on average; the true figure lies somewhere from :interval.',
    'limits' => 'Of two marks on one script, the first lies between :low and :high of the second 95 times in 100 (the ends are known to lie from :lowInterval and from :highInterval).',
    'within' => ':share of pairs lie within the tolerance of :tolerance marks (:interval).',
    'coefficients' => [
        'kappa' => [
            'Same band, beyond chance (kappa)',
            'Of the agreement on bands that chance does not give, :of in 100 is reached. It counts a mark just across a boundary like one three bands away.',
        ],
        'kappa_weighted' => [
            'Near bands count as near (quadratically weighted kappa)',
            ':of in 100 of what chance would leave apart is gone when a miss counts by the square of the bands between. It depends on how widely the cohort spreads.',
        ],
        'ICC1' => [
            'One mark, any marker (ICC1)',
            ':of of 100 parts of the differences between single marks come from the scripts; :rest from who marked and from chance. A cohort of very alike scripts makes it low whatever markers do.',
        ],
        'ICC2' => [
            'One mark, these markers, levels count (ICC2)',
            ':of of 100 parts come from the scripts when a harsh marker counts as disagreement. The interval holds for these markers, not for others.',
        ],
        'ICC3' => ['One mark, order only (ICC3)', ':of of 100 parts come from the scripts when harshness is forgiven.'],
        'ICC1k' => [
            'Mean of two marks (ICC1k)',
            'Were every script marked twice and the mean taken, :of of 100 parts would come from the scripts.',
        ],
        'ICC2k' => [
            'Mean of two, levels count (ICC2k)', 'The same for these markers when harshness counts: :of of 100.',
        ],
        'ICC3k' => ['Mean of two, order only (ICC3k)', 'The same when harshness is forgiven: :of of 100.'],
        'alpha_nominal' => [
            'Exactly the same mark (alpha, nominal)',
            ':of in 100 of exact agreement beyond chance. Marks of two people are rarely the same to the mark: low is usual.',
        ],
        'alpha_ordinal' => [
            'Same order (alpha, ordinal)', ':of in 100 of the disagreement on order that chance would leave is gone.',
        ],
        'alpha_interval' => [
            'Distance in marks (alpha, interval)',
            ':of in 100 of the disagreement in marks that chance would leave is gone. Read beside the limits above, which are in marks.',
        ],
        'alpha_ratio' => [
            'Distance as a proportion (alpha, ratio)', 'The same when 5 marks weigh more at 20 than at 80: :of in 100.',
        ],
    ],
    'stand_out' => [
        'nobody' => 'No marker stands out: neither beside the others nor within a sitting, as far as this can tell.',
        'lie' => ':name marks :how',
        'lie_in_set' => ':name marks :how of set :set',
        'falls' => ':name’s marks fall within a sitting',
        'rises' => ':name’s marks rise within a sitting',
    ],
    'unlinked' => 'shares no script with others: nothing can be said',
    'linked_few' => '{1} shares 1 script with others: too few to say|[2,*] shares :count scripts with others: too few to say',
    'harsher' => ':by marks harsher than the others',
    'more_generous' => ':by marks more generous than the others',
    'like_others' => 'like the others, as far as this can tell',
    'narrower' => 'keeps marks closer together',
    'wider' => 'spreads marks more widely',
    'as_wide' => 'spreads them like the others',
    'drift_few' => 'Too few to say: it needs :least first marks, made in sittings.',
    'falls' => 'Marks fall within a sitting: by :by over 25 scripts.',
    'rises' => 'Marks rise within a sitting: by :by over 25 scripts.',
    'steady' => 'No fall or rise within a sitting that chance would not make.',
    'drift_power' => '{0} A fall of 5 over 25 scripts would hardly ever be noticed here.|{1} A fall of 5 over 25 scripts would be noticed here about once in 10 times.|{10} A fall of 5 over 25 scripts would be noticed here nearly always.|[2,*] A fall of 5 over 25 scripts would be noticed here about :often times in 10.',
];
