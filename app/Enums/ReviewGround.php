<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Why a student asks for a review of a mark.
 */
enum ReviewGround: string
{
    case Arithmetic = 'arithmetic';
    case Overlooked = 'overlooked';
    case Rules = 'rules';
    case Circumstances = 'circumstances';
    case Other = 'other';

    public function label(): string
    {
        return (string) __("reviews.ground.{$this->value}");
    }
}
