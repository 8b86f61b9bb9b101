<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Formats\OneRoster;
use YoungHarbor\Core\Formats\RosterTable;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Roster\KnownPerson;
use YoungHarbor\Core\Roster\Person;
use YoungHarbor\Core\Roster\RosterComparison;
use YoungHarbor\Core\Tables\CsvRows;

/**
 * Rosters read, compared and written. The OneRoster files are written by hand after the field lists of OneRoster 1.2
 * CSV (1EdTech), which are given here from memory.
 */
final class RosterTest extends TestCase
{
    /** Two seminars of one module; a teacher who leads, one who helps, a proctor; one user in another class only. */
    private const FILES = [
        'manifest.csv' => "propertyName,value\r\nmanifest.version,1.0\r\noneroster.version,1.2\r\nfile.orgs,bulk\r\nfile.academicSessions,bulk\r\nfile.courses,bulk\r\nfile.classes,bulk\r\nfile.users,bulk\r\nfile.roles,bulk\r\nfile.enrollments,bulk\r\nfile.demographics,absent\r\n",
        'orgs.csv' => "sourcedId,status,dateLastModified,name,type,identifier,parentSourcedId\r\no1,,,Merrow Coast College,school,,\r\n",
        'academicSessions.csv' => "sourcedId,status,dateLastModified,title,type,startDate,endDate,parentSourcedId,schoolYear\r\ny1,,,2026/27,schoolYear,2026-09-01,2027-08-31,,2027\r\n",
        'courses.csv' => "sourcedId,status,dateLastModified,schoolYearSourcedId,title,courseCode,grades,orgSourcedId,subjects,subjectCodes\r\nk1,,,y1,Coastal Communities and Change,HT210,,o1,,\r\n",
        'classes.csv' => "sourcedId,status,dateLastModified,title,grades,courseSourcedId,classCode,classType,location,schoolSourcedId,termSourcedIds,subjects,subjectCodes,periods\r\nc1,,,Seminar A,,k1,A,scheduled,,o1,y1,,,\r\nc2,,,\"Coastal Communities and Change\",,k1,,scheduled,,o1,y1,,,\r\nc3,,,Tides,,k1,T,scheduled,,o1,y1,,,\r\n",
        'users.csv' => "sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName,middleName,identifier,email,sms,phone,agentSourcedIds,grades,password,userMasterIdentifier,resourceSourcedIds,preferredGivenName,preferredMiddleName,preferredFamilyName,primaryOrgSourcedId,pronouns\r\n"
            ."u1,,,true,hk,,Hana,Kovářová,,M1,Hana@x.example,,,,,,,,,,,o1,\r\n"
            ."u2,,,true,nod,,Niamh,O'Donnell,,M2,niamh@x.example,,,,,,,,Nia,,,o1,\r\n"
            ."u3,,,true,mo,,Maren,Oduya,,,maren@x.example,,,,,,,,,,,o1,\r\n"
            ."u4,,,true,tw,,Tomasz,\"Wiśniewski, the younger\",,,tomasz@x.example,,,,,,,,,,,o1,\r\n"
            ."u5,,,true,ic,,Inês,Caldeira,,,ines@x.example,,,,,,,,,,,o1,\r\n"
            ."u6,,,true,zz,,Zoë,Ng,,M6,zoe@x.example,,,,,,,,,,,o1,\r\n",
        'roles.csv' => "sourcedId,status,dateLastModified,userSourcedId,roleType,role,beginDate,endDate,orgSourcedId,userProfileSourcedId\r\n",
        'enrollments.csv' => "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate\r\n"
            ."e1,,,c1,o1,u1,student,,,\r\ne2,,,c2,o1,u2,student,,,\r\ne3,,,c1,o1,u3,teacher,true,,\r\ne4,,,c1,o1,u4,teacher,false,,\r\ne5,,,c1,o1,u5,proctor,,,\r\ne6,,,c3,o1,u6,student,,,\r\n",
    ];

    public function test_classes_become_sections_and_teachers_staff(): void
    {
        $roster = OneRoster::read(self::FILES);
        self::assertSame(
            ['c1' => 4, 'c2' => 1, 'c3' => 1], array_map(fn (array $class) => $class['people'], $roster->classes),
        );
        [$people, $faults] = $roster->people(['c1', 'c2']);
        self::assertSame([], $faults);
        self::assertSame([
            ['u1', 'Hana Kovářová', 'hana@x.example', 'M1', 'student', 'A'],
            ['u2', "Nia O'Donnell", 'niamh@x.example', 'M2', 'student', null],
            ['u3', 'Maren Oduya', 'maren@x.example', null, 'coordinator', 'A'],
            ['u4', 'Tomasz Wiśniewski, the younger', 'tomasz@x.example', null, 'tutor', 'A'],
            ['u5', 'Inês Caldeira', 'ines@x.example', null, 'examiner', 'A'],
        ], array_map(
            fn (Person $person) => [
                $person->rosterId, $person->name, $person->email, $person->number, $person->role, $person->section,
            ],
            $people,
        ));
    }

    public function test_what_is_written_is_read_again_as_it_was(): void
    {
        [$people] = OneRoster::read(self::FILES)->people(['c1', 'c2', 'c3']);
        $files = OneRoster::write(
            $people,
            [
                'institution' => 'Merrow Coast College', 'code' => 'HT210',
                'title' => 'Coastal Communities and Change', 'id' => 'm1',
            ],
            2027,
        );
        $again = OneRoster::read($files);
        [$read, $faults] = $again->people(array_map(strval(...), array_keys($again->classes)));
        $plain = fn (array $list) => array_map(
            fn (Person $person) => [
                $person->rosterId, $person->name, $person->given, $person->family, $person->email, $person->number,
                $person->role, $person->section,
            ],
            $list,
        );
        self::assertSame([], $faults);
        self::assertEqualsCanonicalizing($plain($people), $plain($read));
        self::assertSame(
            array_keys(self::FILES), array_values(array_intersect(array_keys(self::FILES), array_keys($files))),
            'every file the manifest names is there',
        );
        self::assertStringContainsString("oneroster.version,1.2\r\n", $files['manifest.csv']);
        self::assertStringContainsString("file.enrollments,bulk\r\n", $files['manifest.csv']);
        self::assertStringContainsString("file.demographics,absent\r\n", $files['manifest.csv']);

        $table = RosterTable::write($people);
        $columns = RosterTable::guess(RosterTable::headings(CsvRows::utf8($table)[0]));
        $students = fn (array $list) => array_map(
            fn (Person $person) => [
                $person->name, $person->email, $person->number, $person->section, $person->rosterId,
            ],
            $list,
        );
        self::assertSame(
            $students($people), $students(RosterTable::people(CsvRows::utf8($table)[0], $columns, 'student')),
        );
    }

    /**
     * @param  array<string, string|null>  $changed
     */
    #[DataProvider('broken')]
    public function test_files_that_are_not_as_they_should_be_are_refused_by_name(array $changed, string $why): void
    {
        try {
            OneRoster::read(array_filter([...self::FILES, ...$changed], is_string(...)));
            self::fail('It was read.');
        } catch (InvalidInput $e) {
            self::assertStringContainsString($why, (string) $e->faults[0]);
        }
    }

    /** @return iterable<string, array{array<string, string|null>, string}> */
    public static function broken(): iterable
    {
        yield 'no manifest' => [['manifest.csv' => null], 'manifest.csv: it is not in the ZIP'];
        yield 'another version' => [
            ['manifest.csv' => "propertyName,value\noneroster.version,1.1\n"], '“1.1”; OneRoster 1.2 is read here',
        ];
        yield 'no users' => [['users.csv' => null], 'users.csv: it is not in the ZIP'];
        yield 'a column short' => [
            ['users.csv' => "sourcedId,givenName,familyName\nu1,Hana,K\n"],
            'users.csv: these columns are missing: email',
        ];
    }

    public function test_faults_are_named_by_file_and_line(): void
    {
        $files = self::FILES;
        $files['users.csv'] .= "u1,,,true,hk,,Other,Person,,M9,other@x.example,,,,,,,,,,,o1,\r\n";
        $files['enrollments.csv'] .= "e7,,,c1,o1,u9,student,,,\r\ne8,,,c9,o1,u1,student,,,\r\ne9,,,c1,o1,u6,guardian,,,\r\n";
        $roster = OneRoster::read($files);
        [$people, $faults] = $roster->people(['c1']);
        self::assertSame(['enrollments.csv line 9: there is no class “c9”'], $roster->faults);
        self::assertSame(
            [
                'enrollments.csv line 10: the role “guardian” has no place here',
                'users.csv line 8: the sourcedId “u1” stands twice', 'enrollments.csv line 8: there is no user “u9”',
            ],
            $faults,
        );
        self::assertCount(4, $people);
    }

    public function test_a_delta_file_says_who_has_left(): void
    {
        $files = self::FILES;
        $files['enrollments.csv'] = "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate\r\ne1,tobedeleted,2026-11-01T00:00:00.000Z,c1,o1,u1,student,,,\r\ne2,active,2026-11-01T00:00:00.000Z,c2,o1,u2,student,,,\r\n";
        $roster = OneRoster::read($files);
        self::assertTrue($roster->isDelta);
        [$people] = $roster->people(['c1', 'c2']);
        $known = [
            new KnownPerson(1, ['u1'], 'Hana Kovářová', 'hana@x.example', 'M1', true, 'student', 'A'),
            new KnownPerson(2, ['u2'], "Nia O'Donnell", 'niamh@x.example', 'M2', true, 'student'),
            new KnownPerson(3, ['u7'], 'Bo Li', 'bo@x.example', null, true, 'student'),
        ];
        $found = RosterComparison::of($people, $known, [], false, $roster->ended);
        self::assertSame(
            [1], array_map(fn (KnownPerson $left) => $left->id, $found->left),
            'and nobody else, since the file holds only what changed',
        );
    }

    public function test_people_are_known_again_and_accounts_in_use_are_their_owners(): void
    {
        $known = [
            new KnownPerson(1, ['u1'], 'Hana Kovarova', 'old@x.example', 'M1', true, 'student', 'B'),
            new KnownPerson(2, [], 'Niamh O’Donnell', 'niamh@x.example', null, false, 'student', 'A'),
            new KnownPerson(3, [], 'Bo Li', 'bo@x.example', 'M3', true, 'student', 'A', true),
            new KnownPerson(4, [], 'Zoë Ng', 'zoe@x.example', 'M4', true, 'student', 'A'),
            new KnownPerson(5, [], 'Sven Åkerlund', 'sven@x.example', 'M5', true),
            new KnownPerson(6, [], 'Lin Hui', 'lin@x.example', null, true, 'tutor'),
            new KnownPerson(7, [], 'Same As', 'same@x.example', 'M7', true, 'student', 'A'),
        ];
        $people = [
            self::person(2, 'Hana Kovářová', 'hana@x.example', 'M1', 'A', 'u1'),
            self::person(3, 'Niamh Ní Dhónaill', 'niamh@x.example', 'M2', 'A'),
            self::person(4, 'Bo Li', 'bo@x.example', 'M3', 'A'),
            self::person(5, 'Sven Åkerlund', 'sven@x.example', 'M5', 'C'),
            self::person(6, 'Wren Ito', 'wren@x.example', 'M8', 'C'),
            self::person(7, 'Same As', 'same@x.example', 'M7', 'A'),
        ];
        $found = RosterComparison::of($people, $known, [], true);
        self::assertSame(
            [['Sven Åkerlund', 5], ['Wren Ito', null]],
            array_map(fn ($row) => [$row->person->name, $row->known?->id], $found->added),
        );
        self::assertSame(
            [['section: B → A'], ['name: Niamh O’Donnell → Niamh Ní Dhónaill', 'number: none → M2']],
            array_map(fn ($row) => $row->changes, $found->changed),
        );
        self::assertSame(
            ['name: Hana Kovarova → Hana Kovářová', 'mail address: old@x.example → hana@x.example'],
            $found->changed[0]->stays,
        );
        self::assertSame(['Bo Li'], array_map(fn ($row) => $row->person->name, $found->back));
        self::assertSame(
            ['Zoë Ng'], array_map(fn (KnownPerson $left) => $left->name, $found->left),
            'a tutor who is not in it stays',
        );
        self::assertSame(['Same As'], array_map(fn ($row) => $row->person->name, $found->same));
        self::assertNotSame($found->sum(), RosterComparison::of($people, $known, [], false)->sum());
        self::assertSame($found->sum(), RosterComparison::of($people, $known, [], true)->sum());
    }

    public function test_lines_with_faults_are_left_out_and_then_nobody_has_left(): void
    {
        $known = [
            new KnownPerson(1, ['u1'], 'Ana B', 'ana@x.example', 'M1', true, 'student'),
            new KnownPerson(2, [], 'Zoë Ng', 'zoe@x.example', 'M2', true, 'student'),
        ];
        $found = RosterComparison::of([
            self::person(2, 'a@x.example', 'Ana', 'M5', null), self::person(3, 'Bo Li', 'bo@x.example', 'M6', null),
            self::person(4, 'Bo Li', 'bo@x.example', 'M7', null),
            self::person(5, 'Cy', 'cy@x.example', 'M6', null), self::person(6, 'Ana B', 'zoe@x.example', 'M1', null),
            self::person(7, '', 'd@x.example', null, null),
            self::person(8, 'E', '', 'e@x.example', null),
            self::person(9, str_repeat('n', 151), 'f@x.example', null, null),
        ], $known, [], true);
        self::assertSame([
            'line 2: “Ana” is no mail address, and the name holds one: are two columns swapped?',
            'line 4: the mail address “bo@x.example” stands in line 3 too',
            'line 5: the number “m6” stands in line 3 too',
            'line 6: the number belongs to Ana B, the mail address to Zoë Ng', 'line 7: there is no name',
            'line 8: “” is no mail address, and the number holds one: are two columns swapped?',
            'line 9: the name has more than 150 characters',
        ], $found->faults);
        self::assertSame(['Bo Li'], array_map(fn ($row) => $row->person->name, $found->added));
        self::assertSame([], $found->left);
    }

    /**
     * @param  array<string, int>  $columns
     */
    #[DataProvider('headings')]
    public function test_columns_are_guessed_from_their_headings(string $headings, array $columns): void
    {
        self::assertEquals($columns, RosterTable::guess(explode(';', $headings)));
    }

    /** @return iterable<string, array{string, array<string, int>}> */
    public static function headings(): iterable
    {
        yield 'plain' => ['Name;Mail;Number;Section', ['name' => 0, 'email' => 1, 'number' => 2, 'section' => 3]];
        yield 'parted names' => [
            'Student ID;Family name;First Name;E-Mail address;Seminar;Team',
            ['number' => 0, 'family' => 1, 'given' => 2, 'email' => 3, 'section' => 4, 'group' => 5],
        ];
        yield 'nothing known' => ['x;y', []];
    }

    #[DataProvider('encodings')]
    public function test_spreadsheets_of_other_encodings_are_read(string $bytes, ?string $readAs): void
    {
        [$text, $as] = CsvRows::utf8($bytes);
        self::assertSame($readAs, $as);
        $people = RosterTable::people($text, RosterTable::guess(RosterTable::headings($text)), 'student');
        self::assertSame(
            [
                ['Zoë Ng', 'zoe@x.example', 'line 2'], ["Two\nlines", 'two@x.example', 'line 3'],
                ['Siân Åse', 'sian@x.example', 'line 5'],
            ],
            array_map(fn (Person $person) => [$person->name, $person->email, $person->place], $people),
        );
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function encodings(): iterable
    {
        $csv = "Name;E-mail\r\nZoë Ng;zoe@x.example\r\n\"Two\r\nlines\";two@x.example\r\nSiân Åse;sian@x.example\r\n";
        yield 'UTF-8' => [$csv, null];
        yield 'with a byte order mark' => ["\u{FEFF}".$csv, null];
        yield 'tabs' => [str_replace(';', "\t", $csv), null];
        yield 'commas' => [str_replace(';', ',', $csv), null];
        yield 'Windows-1252' => [mb_convert_encoding($csv, 'Windows-1252', 'UTF-8'), 'Windows-1252'];
        yield 'UTF-16' => ["\xFF\xFE".mb_convert_encoding($csv, 'UTF-16LE', 'UTF-8'), 'UTF-16'];
        yield 'UTF-16, the other way' => ["\xFE\xFF".mb_convert_encoding($csv, 'UTF-16BE', 'UTF-8'), 'UTF-16'];
    }

    public function test_a_hundred_thousand_lines_are_read_and_compared(): void
    {
        $csv = "Name,Mail,Number\n".implode(
            '', array_map(fn (int $n) => "Person {$n},p{$n}@x.example,N{$n}\n", range(1, 100_000)),
        );
        $people = RosterTable::people($csv, RosterTable::guess(RosterTable::headings($csv)), 'student');
        self::assertCount(100_000, RosterComparison::of($people, [], [], true)->added);
    }

    private static function person(
        int $line, string $name, string $email, ?string $number, ?string $section, ?string $rosterId = null,
    ): Person {
        return new Person("line {$line}", $rosterId, $name, null, null, $email, $number, 'student', $section);
    }
}
