<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

/**
 * The kinds of criteria a rubric can mix.
 */
enum CriterionKind: string
{
    case Levels = 'levels';
    case Scale = 'scale';
    case Checklist = 'checklist';
    case Comment = 'comment';
}
