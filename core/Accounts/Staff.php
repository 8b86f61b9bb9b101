<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Accounts;

/**
 * People who see more than their own: of each kind an institution can ask for a second step at sign-in.
 */
enum Staff: string
{
    case Coordinators = 'coordinators';
    case Tutors = 'tutors';
    case Examiners = 'examiners';
    case Administrators = 'administrators';
}
