<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use Illuminate\Database\Eloquent\Model;
use YoungHarbor\Core\Accounts\SignInRules;
use YoungHarbor\Core\Keeping\Periods;

/**
 * What holds for the whole institution: one row, made when something is first set.
 *
 * @property int $id
 * @property SignInRules $sign_in
 * @property Periods $keeping
 */
final class Institution extends Model
{
    protected $table = 'institution';

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'sign_in' => AsCoreValue::class.':'.SignInRules::class, 'keeping' => AsCoreValue::class.':'.Periods::class,
        ];
    }

    public static function settings(): self
    {
        return self::query()->first() ?? new self;
    }
}
