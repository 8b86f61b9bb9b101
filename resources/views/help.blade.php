@php($parts = App\Wording\HelpParts::TITLES)
<x-page title="Help" at="help">
    <x-slot:head><div class="heading"><h1>Help</h1></div></x-slot:head>
    <nav class="chips mb-5" aria-label="Parts of this page">
        @foreach ($parts as $id => $title)<a href="#{{ $id }}">{{ $title }}</a>@endforeach</nav>
    <div class="max-w-3xl help">
        <section id="coordinator">
            <h2>{{ $parts['coordinator'] }}</h2>
            <p>Ten minutes from an empty module to an assignment that students can see. Every step can be changed until it says otherwise.
            </p>
            <ol>
                <li><b>People.</b> Modules, your module, People: paste names and e-mail addresses, or import your roster as CSV. A column with roles is read; words of your institution (“Lecturer”, “Moderator”) are matched to roles on the preview. New people get an e-mail with a link to choose a password.
                </li>
                <li><b>Rubric.</b> Rubrics, A new rubric: paste the table you have in a spreadsheet, or copy one from the library. Weights total exactly 100; the bar beside the sheet says how far off they are, and one button spreads the rest. When nothing is missing, make it ready: only a ready rubric can be attached.
                </li>
                <li><b>Assignment.</b> In the module, Plan an assignment: title, brief, due time, what can be handed in, what late work costs. Open it to students when it is right. The rubric is frozen from then on; a changed one is a new version, and students are told.
                </li>
                <li><b>A discussion</b> in place of work handed in: choose it at the top of the plan, save, add its topics, open it. You and your team see codes in place of names, and no times. When it ends for a student, all they wrote becomes one script; what readers point out to you stands on its page and on Today.
                </li>
                <li><b>Something observed</b>: a presentation, a practical, a viva. Say when, where and by whom, draw slots, look at them, publish. Students find theirs on the assignment’s page and as a calendar file, and may ask to swap. It is not anonymous.</li>
                <li><b>Collect.</b> See who has handed in, give extensions on a student’s page, write to those who have not. Nobody who marks sees any of it.
                </li>
                <li><b>Screen.</b> Reports are made by themselves. Look at what lies above your lines; write down what you found. A percentage is not a finding.
                </li>
                <li><b>Share out.</b> After the due time: agree who marks how much, work out a plan, move scripts if you like, give them out. Look at “Names in scripts” first.
                </li>
                <li><b>Peer review,</b> if you want it: Share out, Peer review, Plan a round. Students review each other’s work or rate their own, on drafts or on what they handed in. It runs by itself; what needs you is on Today.
                </li>
                <li><b>Groups.</b> Where a group hands in one work for one mark, Share out, Parts in groups asks its members who did how much; factors join each mark, and you can set one by hand with a reason.
                </li>
                <li><b>Moderate.</b> Marks within the tolerance settle by your rule, never by themselves across the pass line. The others are settled by their two markers.
                </li>
                <li><b>Release.</b> The page lists what is in the way, each with the link that clears it. Results go out at once or at a time you set, all or a section, provisional or final, all in the same moment; students are told by e-mail. A result that is out never changes: a corrected one takes its place. Until names are revealed, reviews and corrections go by the script code, and a result opened by name shows the mark and its working without the work. What is decided for one student alone (exempt, deferred, a few marks) is decided on that student’s page. Names are revealed to markers as the last step.
                </li>
                <li><b>Grade book.</b> Say how the module mark is made: weights, the best of several, what must be passed, resits. The grade book is filtered and sorted by any column; from a student’s row you reach the working and what is still needed. The board sheet lists candidates by number, without names; confirming it makes provisional results final. “What the cohort should hear” drafts a message from what was praised and what has to be fixed.
                </li>
                <li><b>Reflections.</b> On the page of the module: a few questions at the end of a week, without a hand-in; you read them as a list, with the words many have in common.
                </li>
                <li><b>Next year.</b> “Copy for another year” on the page of the module takes rubrics, assignments, bank and settings along, and lists what needs a decision.
                </li>
            </ol>
            <p><kbd>/</kbd> goes to the field that finds modules, assignments, rubrics, people and script codes.</p>
        </section>
        <section id="marking">
            <h2>{{ $parts['marking'] }}</h2>
            <p>Today lists what is with you; “Go to the desk” opens the next script.</p>
            <ul>
                <li>The script is on the left, the rubric on the right. Move the pin of a criterion with the mouse or
                <kbd>←</kbd> <kbd>→</kbd>: on a level, or half-way between two. <kbd>1</kbd> to <kbd>9</kbd>
                choose a level. What its level says stands below it.</li>
                <li>Select words and press <kbd>c</kbd> to comment on them. In a comment, <kbd>;</kbd>
                and some letters find comments in the bank.</li>
                <li>Everything is saved as you make it. Without a connection you can go on: it is sent when the connection is back. Sign out when the desk says “Saved”.
                </li>
                <li>“Done, next” is a deliberate step; you can open a script again until marks are settled.</li>
                <li>A discussion comes as one script: all that one student wrote, in order, each piece with what it answers and who answered it, set small. That part is not the student’s; keys step over it. What was written after the end stands below, and is not marked.
                </li>
                <li>Where you observe, Observe on Today or under Mark opens a page for a tablet or phone: a clock, steps, levels, notes, photos. Open it once with a connection; from then on it works without one and sends when there is one again. Done makes the mark done.</li>
                <li>A PDF has its pages under “pages”. Grey boxes cover names. What you download is written anew and holds no name either.
                </li>
                <li><kbd>?</kbd> lists all keys of a page.</li>
                <li>Up to three comments can be marked “start here”: the student reads them first. When results are out, replies of students are listed on Today and under “replies” beside your scripts.
                </li>
            </ul>
            <p>If a script seems to name its author all the same, do not go on: tell your coordinator, who can give it to someone else.
            </p>
        </section>
        <section id="examiner">
            <h2>{{ $parts['examiner'] }}</h2>
            <ul>
                <li>Today lists the assignments of the modules that named you. Under Moderate you see every script with both marks, the tolerance and how each was settled; each opens to both markers’ levels and reasons.
                </li>
                <li>Every mark opens its working: from points and weights to the figure students get.</li>
                <li>You see script codes and no names, and you change nothing.</li>
            </ul>
        </section>
        <section id="student">
            <h2>{{ $parts['student'] }}</h2>
            <ul>
                <li>The page of an assignment has the brief, the rubric it will be marked by, your own due time, and where you hand in. Files of these kinds can be read: .docx, .odt, .pdf, .rtf, .txt, .md, .html. You can also type, or begin from a template.
                </li>
                <li>A receipt comes at once, on the page and by e-mail. It proves what was handed in and when: what counts is when it arrived, however busy the server is. Within seconds the page then shows the text as markers get it: look whether it is your text. If the file cannot be read it does not count; you are told why, by e-mail too, and can hand in again.
                </li>
                <li>You can hand in again until the due time; the last one in time counts. If something comes later, you choose which counts.
                </li>
                <li>Take your name out of the file if you can. If it is in there, it is hidden from those who mark; the page says where it stood.
                </li>
                <li>In a discussion you post in its topics and answer others. What you type is kept in this browser until it is posted, also without a connection. You can change a post for the minutes its page says, and take it back until the discussion ends. “more” beside a post marks it as unread or points it out to your coordinators. What stands at the end is marked; you get a receipt for it.
                </li>
                <li>Where you are observed, the assignment’s page says when, where and by whom, and what follows if you are late. Asking to swap needs the other’s yes and your coordinator’s.</li>
                <li>In a round of peer review the page of the assignment leads to your steps: try it, review, read what was said of yours, answer. Nobody sees your name there unless the page says so. “I cannot review this” gives one back; pointing out a review tells your coordinators, and not its writer.
                </li>
                <li>Where it is offered, a draft that is checked can get first remarks from an outside writing assistant: never a mark, and nobody else sees them unless you share them. Reflections that you are asked for are on Today; who reads them stands above the first question.
                </li>
                <li>When results are out you get an e-mail. The result shows the level you reached on each criterion beside the others, how to reach the next one, and the comments at their words. “Working” shows how the mark came about.
                </li>
                <li>Your own text stands on the result with the comments at their places. You can reply to each, say whether it was useful, write the reflection you are asked for, and ask for a review of the mark while that is offered. Your markers read what you write without your name until names are revealed; when you opened the result is recorded, and you see that record.
                </li>
            </ul>
        </section>
        <section id="peers">
            <h2>{{ $parts['peers'] }}</h2>
            <p>A round has three times: when reviews are given out, when they are due, when answers are due. Until reviews are given out everything can be changed; then what would be unfair to change stays. Nobody reviews their own or their group’s work, nor where a conflict is recorded. When people drop out, what they have not begun goes to others at the hours you set, first to those who offered more.
            </p>
            <p>Works and reviewers have codes of the round, drawn anew, which are not the script codes that staff use. A student who stands in for nobody and writes nothing about themself stays unknown; what people say to each other outside, nothing here can hide.
            </p>
            <p>How peers’ marks become one, for four reviews of 58, 62, 64 and 35:</p>
            <ul>
                <li><b>Median: 60.</b> The middle; one careless mark moves it little. With two reviews it is the mean.
                </li>
                <li><b>Mean: 54.8.</b> Every mark counts alike, the careless one too. Two friends who agree beforehand move it least.
                </li>
                <li><b>Mean without the outer ones: 60.</b> A quarter of the marks (rounded down) is left out at each end: with four reviews one, with fewer than four none.
                </li>
                <li><b>Weighed by how reliable each reviewer was.</b> What a reviewer gave other works, and trial scripts or works that staff marked, shows whether they are harsh or lenient and how much they scatter. That is taken off, and who scatters weighs less. In simulated cohorts of mixed reviewers with four reviews each its error is 4.5 marks where that of the mean is 5.8; with two reviews, or where all are much alike, it gains nothing. It comes with an interval. It cannot see what all peers have in common: if everybody is generous, only marks by staff show it.
                </li>
            </ul>
            <p>Each combined mark opens to its reviews side by side and the weight of each. Look first at those listed first: far apart, on both sides of the pass line, fewer reviews than promised. “Peers beside staff” says how far apart the two are on works that both marked.
            </p>
            <p>A mark for reviewing is made of parts that you weigh; each opens its working. Reviewers learn how useful they were from three answers on, so that no answer can be laid at anyone’s door.
            </p>
        </section>
        <section id="screening">
            <h2>{{ $parts['screening'] }}</h2>
            <ul>
                <li><b>Overlap</b> finds words that also stand elsewhere: in other scripts, in earlier years, on the web if the assignment says so. It cannot tell who wrote them first, whether they were allowed, or why they are there. Quotations and bibliographies are normal; hardly any honest essay is at zero.
                </li>
                <li>The share is a sum anyone can check. Quotations, the bibliography, a source or a passage can be left out, each with a reason.
                </li>
                <li>What is not found proves nothing: a source that nobody has compared with is not in the report.</li>
                <li><b>Writing signals</b>
                compare how a text is written with texts your institution trusts. They say how many of those are as unusual. Of 100 honest texts about five lie past an alarm of 0.05: that is what the figure means. They cannot tell who wrote a text, or whether a machine did.
                </li>
                <li>Either leads to a conversation, written down in the record. No mark follows from it by itself.</li>
            </ul>
        </section>
        <section id="account">
            <h2>{{ $parts['account'] }}</h2>
            <ul>
                <li><b>Second step.</b> A code from your phone, asked for besides the password. Set it up under your name at the top; keep the ten recovery codes where you would look for them without your phone. Phone and codes lost: an administrator lets you in again, once they know it is you.
                </li>
                <li>Under your name you also see where you are signed in, and sign out there. A new password signs you out everywhere else.
                </li>
                <li><b>What is kept of you</b> stands there too, with why, and a copy to take away. Your markers and coordinators read what you hand in and write; administrators see names, addresses and roles, no scripts and no marks; other students see what you write to them, and your name where the assignment says so.
                </li>
            </ul>
        </section>
        @if (auth()->user()->is_admin)
            <section id="people">
                <h2>{{ $parts['people'] }}</h2>
                <ul>
                    <li><b>People</b> lists everyone over all modules. Someone who cannot get in: send a link for a password; take the second step off only when you know it is them.
                    </li>
                    <li>One person with two accounts: look what merging would do, from the account that is to stay. It is refused where both have something in one place, and cannot be undone.
                    </li>
                    <li><b>How people sign in</b>: who must have a second step, and whether a link by mail does. <b>How it runs</b>: what waits, what failed, the last backup.
                    </li>
                    <li>Someone asks in writing for all that is kept of them: hand it over from their page, with the reason, and read it before it goes out, since others are named where people wrote their names. Erase is there too, for students: look what would go first; it cannot be undone.
                    </li>
                    <li><b>How long things are kept</b>: for how many months what is kept, and what has been kept for its time. Nothing is deleted until someone has chosen it there, and not before the next night. A hold on someone’s page keeps all that is theirs.
                    </li>
                </ul>
            </section>
        @endif
        <section id="names">
            <h2>{{ $parts['names'] }}</h2>
            <p>Whoever marks sees a code such as TERN-417. Names, numbers and addresses of authors are hidden in the text, the pages and the pictures of what they hand in. Lateness, extensions and allowances are shown to coordinators only. A coordinator can look behind a code, or open an original, with a reason; each look is in the logbook. What the machine cannot decide (a family name that may be a source’s, a picture nobody can read) is listed under Share out, Names in scripts.
            </p>
        </section>
    </div>
</x-page>
