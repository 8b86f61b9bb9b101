<?php

declare(strict_types=1);

namespace App\Extraction;

use RuntimeException;

/**
 * Why a file cannot be taken, and what could be, in words for the person who chose it.
 */
final class Refusal extends RuntimeException
{
}
