<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\File;
use PhpParser\Error;
use PhpParser\ParserFactory;
use Tests\TestCase;

/**
 * What can be wrong with a view before anyone opens its page.
 */
final class ViewsTest extends TestCase
{
    /** A directive that stands against a letter is none: "here@elseif" would be read by people. */
    public function test_every_directive_is_read_as_one_and_every_view_is_php(): void
    {
        $parser = (new ParserFactory)->createForHostVersion();
        $views = File::allFiles(resource_path('views'));
        self::assertGreaterThan(80, count($views));
        foreach ($views as $view) {
            $made = Blade::compileString($view->getContents());
            self::assertDoesNotMatchRegularExpression(
                '/@(if|elseif|else|endif|unless|foreach|endforeach|forelse|empty|can|error|class|checked|disabled|php)\b/',
                $made, $view->getRelativePathname(),
            );
            try {
                $parser->parse($made);
            } catch (Error $e) {
                self::fail("{$view->getRelativePathname()}: {$e->getMessage()}");
            }
        }
    }
}
