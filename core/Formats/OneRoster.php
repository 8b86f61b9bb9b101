<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Roster\Person;
use YoungHarbor\Core\Tables\Csv;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * People and classes as the files of OneRoster 1.2 CSV (1EdTech), bulk or delta.
 *
 * A class is a section of the module, named by its class code. Who teaches a class first (`primary`) is a coordinator,
 * other teachers and aides are tutors, a proctor is the external examiner.
 */
final readonly class OneRoster
{
    /** The files and their columns in the order of the specification, written from memory. */
    public const COLUMNS = [
        'orgs' => ['sourcedId', 'status', 'dateLastModified', 'name', 'type', 'identifier', 'parentSourcedId'],
        'academicSessions' => [
            'sourcedId', 'status', 'dateLastModified', 'title', 'type', 'startDate', 'endDate', 'parentSourcedId',
            'schoolYear',
        ],
        'courses' => [
            'sourcedId', 'status', 'dateLastModified', 'schoolYearSourcedId', 'title', 'courseCode', 'grades',
            'orgSourcedId', 'subjects', 'subjectCodes',
        ],
        'classes' => [
            'sourcedId', 'status', 'dateLastModified', 'title', 'grades', 'courseSourcedId', 'classCode', 'classType',
            'location', 'schoolSourcedId', 'termSourcedIds', 'subjects', 'subjectCodes', 'periods',
        ],
        'users' => [
            'sourcedId', 'status', 'dateLastModified', 'enabledUser', 'username', 'userIds', 'givenName', 'familyName',
            'middleName', 'identifier', 'email', 'sms', 'phone', 'agentSourcedIds', 'grades', 'password',
            'userMasterIdentifier', 'resourceSourcedIds', 'preferredGivenName', 'preferredMiddleName',
            'preferredFamilyName', 'primaryOrgSourcedId', 'pronouns',
        ],
        'roles' => [
            'sourcedId', 'status', 'dateLastModified', 'userSourcedId', 'roleType', 'role', 'beginDate', 'endDate',
            'orgSourcedId', 'userProfileSourcedId',
        ],
        'enrollments' => [
            'sourcedId', 'status', 'dateLastModified', 'classSourcedId', 'schoolSourcedId', 'userSourcedId', 'role',
            'primary', 'beginDate', 'endDate',
        ],
    ];

    /** Other files the manifest names. */
    public const ABSENT = [
        'categories', 'classResources', 'courseResources', 'demographics', 'lineItemLearningObjectiveIds', 'lineItems',
        'lineItemScoreScales', 'resources', 'resultLearningObjectiveIds', 'results', 'resultScoreScales',
        'scoreScales', 'userProfiles', 'userResources',
    ];

    private const NEEDED = [
        'classes' => ['sourcedid', 'title'], 'users' => ['sourcedid', 'givenname', 'familyname', 'email'],
        'enrollments' => ['classsourcedid', 'usersourcedid', 'role'],
    ];

    /**
     * @param  array<string, array{title: string, code: string, course: string, people: int}>  $classes  by their id
     * @param  list<string>  $faults
     * @param  list<string>  $ended  roster ids that a delta file takes out of a class
     * @param  bool  $isDelta  whether it holds only what has changed
     */
    private function __construct(
        public array $classes,
        public array $faults,
        private string $users,
        private string $enrollments,
        public array $ended,
        public bool $isDelta,
    ) {
    }

    /**
     * @param  array<string, string>  $files  their bytes by name, as users.csv
     *
     * @throws InvalidInput when files or columns are missing
     */
    public static function read(array $files): self
    {
        $texts = [];
        foreach ($files as $name => $bytes) {
            $texts[basename($name, '.csv')] = CsvRows::utf8($bytes)[0];
        }
        self::manifest($texts);
        $faults = [];
        $courses = [];
        foreach (CsvRows::byHeading($texts['courses'] ?? '') as $row) {
            $courses[$row['sourcedid'] ?? ''] = $row['title'] ?? '';
        }
        $classes = [];
        foreach (CsvRows::byHeading($texts['classes']) as $line => $row) {
            if ($row['sourcedid'] === '' || isset($classes[$row['sourcedid']])) {
                $faults[] = "classes.csv line {$line}: ".(
                    $row['sourcedid'] === ''
                        ? 'there is no sourcedId'
                        : "the sourcedId “{$row['sourcedid']}” stands twice"
                );
            } elseif (! self::isDeleted($row)) {
                $classes[$row['sourcedid']] = [
                    'title' => $row['title'], 'code' => $row['classcode'] ?? '',
                    'course' => $courses[$row['coursesourcedid'] ?? ''] ?? '', 'people' => 0,
                ];
            }
        }
        $ended = [];
        $isDelta = false;
        foreach (CsvRows::byHeading($texts['enrollments']) as $line => $row) {
            $isDelta = $isDelta || ($row['status'] ?? '') !== '';
            if (self::isDeleted($row)) {
                $ended[] = $row['usersourcedid'];
            } elseif (! isset($classes[$row['classsourcedid']])) {
                count($faults) < 1000
                    && $faults[] = "enrollments.csv line {$line}: there is no class “{$row['classsourcedid']}”";
            } else {
                $classes[$row['classsourcedid']]['people']++;
            }
        }

        return new self($classes, $faults, $texts['users'], $texts['enrollments'], $ended, $isDelta);
    }

    /**
     * The people of some classes. Someone in several of them is in the section of the first.
     *
     * @param  list<string>  $chosen  class ids
     * @return array{list<Person>, list<string>} people, and faults with their places
     */
    public function people(array $chosen): array
    {
        $chosen = array_fill_keys($chosen, true);
        $enrolled = [];
        foreach (CsvRows::byHeading($this->enrollments) as $line => $row) {
            if (isset($chosen[$row['classsourcedid']]) && ! self::isDeleted($row)) {
                $enrolled[$row['usersourcedid']] ??= [
                    $row['role'], ($row['primary'] ?? '') === 'true', $row['classsourcedid'], $line,
                ];
            }
        }
        $people = $faults = $seen = [];
        foreach (CsvRows::byHeading($this->users) as $line => $row) {
            $id = $row['sourcedid'];
            if (! isset($enrolled[$id]) || self::isDeleted($row)) {
                continue;
            }
            if (isset($seen[$id])) {
                $faults[] = "users.csv line {$line}: the sourcedId “{$id}” stands twice";

                continue;
            }
            $seen[$id] = true;
            [$role, $primary, $class, $at] = $enrolled[$id];
            $role = match ($role) {
                'student' => 'student', 'teacher' => $primary ? 'coordinator' : 'tutor',
                'administrator' => 'coordinator', 'aide' => 'tutor', 'proctor' => 'examiner', default => null,
            };
            if ($role === null) {
                $faults[] = "enrollments.csv line {$at}: the role “{$enrolled[$id][0]}” has no place here";

                continue;
            }
            $given = ($row['preferredgivenname'] ?? '') !== '' ? $row['preferredgivenname'] : $row['givenname'];
            $family = ($row['preferredfamilyname'] ?? '') !== '' ? $row['preferredfamilyname'] : $row['familyname'];
            $people[] = new Person(
                "users.csv line {$line}", $id, trim("{$given} {$family}"), $given === '' ? null : $given,
                $family === '' ? null : $family, mb_strtolower($row['email']),
                ($row['identifier'] ?? '') === '' ? null : $row['identifier'], $role, $this->section($class),
            );
        }
        foreach (array_diff_key($enrolled, $seen) as $id => [, , , $at]) {
            $faults[] = "enrollments.csv line {$at}: there is no user “{$id}”";
        }

        return [$people, $faults];
    }

    /**
     * A module's people as files by name.
     *
     * @param  iterable<Person>  $people
     * @param  array{institution: string, code: string, title: string, id: string}  $module
     * @param  int  $year  in which the school year ends
     * @return array<string, string>
     */
    public static function write(iterable $people, array $module, int $year): array
    {

        $line = self::line(...);
        $files = array_map(fn (array $columns) => Csv::line($columns), self::COLUMNS);
        $org = 'org-'.substr(hash('sha256', $module['institution']), 0, 12);
        $session = "year-{$year}";
        $files['orgs'] .= $line('orgs', ['sourcedId' => $org, 'name' => $module['institution'], 'type' => 'school']);
        $files['academicSessions'] .= $line(
            'academicSessions',
            [
                'sourcedId' => $session, 'title' => ($year - 1)."/{$year}", 'type' => 'schoolYear',
                'startDate' => ($year - 1).'-09-01', 'endDate' => "{$year}-08-31", 'schoolYear' => (string) $year,
            ],
        );
        $files['courses'] .= $line(
            'courses',
            [
                'sourcedId' => "course-{$module['id']}", 'schoolYearSourcedId' => $session,
                'title' => $module['title'], 'courseCode' => $module['code'], 'orgSourcedId' => $org,
            ],
        );
        $classes = [];
        foreach ($people as $person) {
            $id = $person->rosterId ?? $person->email;
            $class = 'class-'.substr(hash('sha256', $module['id'].'|'.$person->section), 0, 16);
            if (! isset($classes[$class])) {
                $classes[$class] = true;
                $files['classes'] .= $line(
                    'classes',
                    [
                        'sourcedId' => $class,
                        'title' => $person->section === null
                            ? $module['title']
                            : "{$module['title']} {$person->section}",
                        'courseSourcedId' => "course-{$module['id']}", 'classCode' => (string) $person->section,
                        'classType' => 'scheduled', 'schoolSourcedId' => $org, 'termSourcedIds' => $session,
                    ],
                );
            }
            $role = [
                'student' => 'student', 'tutor' => 'teacher', 'coordinator' => 'teacher', 'examiner' => 'proctor',
            ][$person->role] ?? 'student';
            $files['users'] .= $line(
                'users',
                [
                    'sourcedId' => $id, 'enabledUser' => 'true', 'username' => $person->email,
                    'givenName' => (string) $person->given, 'familyName' => (string) $person->family,
                    'identifier' => (string) $person->number, 'email' => $person->email, 'primaryOrgSourcedId' => $org,
                ],
            );
            $files['roles'] .= $line(
                'roles',
                [
                    'sourcedId' => "role-{$id}", 'userSourcedId' => $id, 'roleType' => 'primary', 'role' => $role,
                    'orgSourcedId' => $org,
                ],
            );
            $files['enrollments'] .= $line(
                'enrollments',
                [
                    'sourcedId' => 'enrolment-'.substr(hash('sha256', "{$class}|{$id}"), 0, 20),
                    'classSourcedId' => $class, 'schoolSourcedId' => $org, 'userSourcedId' => $id, 'role' => $role,
                    'primary' => $role === 'teacher' ? ($person->role === 'coordinator' ? 'true' : 'false') : '',
                ],
            );
        }
        $manifest = Csv::line(['propertyName', 'value']).Csv::line(['manifest.version', '1.0'])
            .Csv::line(['oneroster.version', '1.2']);
        $names = [...array_fill_keys(array_keys(self::COLUMNS), 'bulk'), ...array_fill_keys(self::ABSENT, 'absent')];
        ksort($names, SORT_FLAG_CASE | SORT_STRING);
        foreach ($names as $name => $state) {
            $manifest .= Csv::line(["file.{$name}", $state]);
        }
        $all = [
            'manifest.csv' => $manifest.Csv::line(['source.systemName', 'Young Harbor'])
                .Csv::line(['source.systemCode', '']),
        ];
        foreach ($files as $name => $text) {
            $all["{$name}.csv"] = $text;
        }

        return $all;
    }

    /**
     * @param  key-of<self::COLUMNS>  $file
     * @param  array<string, string>  $cells  by column; the others are empty
     */
    private static function line(string $file, array $cells): string
    {
        $line = [];
        foreach (self::COLUMNS[$file] as $column) {
            $line[] = $cells[$column] ?? '';
        }

        return Csv::line($line);
    }

    /** The section a class stands for: its code, or its title when that is not just the course's. */
    private function section(string $class): ?string
    {
        ['title' => $title, 'code' => $code, 'course' => $course] = $this->classes[$class];
        $section = $code !== '' ? $code : ($title === $course ? '' : $title);

        return $section === '' ? null : $section;
    }

    /**
     * @param  array<string, string>  $texts
     *
     * @throws InvalidInput
     */
    private static function manifest(array $texts): void
    {
        if (! isset($texts['manifest'])) {
            throw InvalidInput::at(
                'manifest.csv',
                'it is not in the ZIP, so this is no OneRoster export; a plain table can be brought in as CSV',
            );
        }
        $said = [];
        foreach (CsvRows::byHeading($texts['manifest']) as $row) {
            $said[mb_strtolower($row['propertyname'] ?? '')] = $row['value'] ?? '';
        }
        if (($said['oneroster.version'] ?? '') !== '1.2') {
            throw InvalidInput::at(
                'manifest.csv',
                'it says version '.(
                    ($said['oneroster.version'] ?? '') === '' ? 'nothing' : "“{$said['oneroster.version']}”"
                ).'; OneRoster 1.2 is read here',
            );
        }
        foreach (self::NEEDED as $file => $columns) {
            if (($said['file.'.mb_strtolower($file)] ?? 'bulk') === 'absent' || ! isset($texts[$file])) {
                throw InvalidInput::at("{$file}.csv", 'it is not in the ZIP, and nobody can be placed without it');
            }
            $headings = [];
            foreach (CsvRows::of($texts[$file]) as $cells) {
                $headings = array_map(mb_strtolower(...), $cells);
                break;
            }
            $missing = array_diff($columns, $headings);
            if ($missing !== []) {
                throw InvalidInput::at("{$file}.csv", 'these columns are missing: '.implode(', ', $missing));
            }
        }
    }

    /**
     * @param  array<string, string>  $row
     */
    private static function isDeleted(array $row): bool
    {
        return mb_strtolower($row['status'] ?? '') === 'tobedeleted';
    }
}
