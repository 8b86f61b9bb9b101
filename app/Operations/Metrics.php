<?php

declare(strict_types=1);

namespace App\Operations;

/**
 * Figures for machines, in the text format of OpenMetrics 1.0: of the application as a whole, never of a person, a
 * module or an assignment.
 */
final class Metrics
{
    private const UNITS = ['seconds', 'bytes'];

    public function __construct(private readonly Queues $queues)
    {
    }

    /**
     * @param  list<Part>  $parts
     */
    public function text(array $parts): string
    {
        $lines = [
            '# TYPE young_harbor info', '# HELP young_harbor The version that runs.',
            'young_harbor_info{version="'.$this->escaped((string) config('harbor.version')).'"} 1',
            '# TYPE young_harbor_part_state stateset', '# HELP young_harbor_part_state How each part does.',
        ];
        foreach ($parts as $part) {
            foreach (PartState::cases() as $state) {
                $lines[] = 'young_harbor_part_state{part="'.$part->name.'",young_harbor_part_state="'.$state->value.'"} '
                    .(int) ($part->state === $state);
            }
        }
        foreach ($parts as $part) {
            foreach ($part->figures as $name => $value) {
                array_push($lines, ...$this->gauge("young_harbor_{$name}", ['' => $value]));
            }
        }
        if (Health::isUp($parts)) {
            $queues = array_column($this->queues->waiting(), null, 'queue');
            array_push($lines, ...$this->gauge(
                'young_harbor_jobs', array_map(fn (array $one) => $one['waiting'], $queues), 'queue',
            ));
            array_push($lines, ...$this->gauge(
                'young_harbor_job_oldest_seconds', array_map(fn (array $one) => $one['oldest'], $queues), 'queue',
            ));
        }

        return implode("\n", $lines)."\n# EOF\n";
    }

    /**
     * @param  array<string, int|float>  $values  by what the label says
     * @return list<string>
     */
    private function gauge(string $name, array $values, string $label = ''): array
    {
        $unit = array_values(array_filter(self::UNITS, fn (string $unit) => str_ends_with($name, "_{$unit}")));
        $lines = ["# TYPE {$name} gauge", ...($unit === [] ? [] : ["# UNIT {$name} {$unit[0]}"])];
        foreach ($values as $key => $value) {
            $lines[] = $name.($label === '' ? '' : '{'.$label.'="'.$this->escaped((string) $key).'"}')." {$value}";
        }

        return $lines;
    }

    private function escaped(string $value): string
    {
        return addcslashes($value, "\"\\\n");
    }
}
