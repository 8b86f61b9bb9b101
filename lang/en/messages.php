<?php

declare(strict_types=1);

return [
    'too_large' => 'This file is larger than :size MB, so it did not arrive. What you handed in before, if anything, still counts. Hand in the text alone; pictures can usually be made smaller in your writing program.',
    'expired' => 'This page had been open for so long that it was no longer valid. Nothing was changed; what you wrote is still in the form. Try again.',
];
