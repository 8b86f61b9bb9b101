<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/**
 * A backup could not be made, read or brought back, and why, for whoever runs the command.
 */
final class BackupFailed extends RuntimeException
{
}
