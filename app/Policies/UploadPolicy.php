<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Upload;
use App\Models\User;

final class UploadPolicy
{
    public function fill(User $user, Upload $upload): bool
    {
        return $upload->student_id === $user->id;
    }
}
