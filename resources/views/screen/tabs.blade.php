{{-- Text overlap and writing signals of one assignment, or of one script. --}}
<nav class="chips {{ request()->routeIs('screen.index', 'writing.index') ? 'mb-3' : '' }}"
    aria-label="What is shown"><a href="{{ $overlap }}"
    aria-current="{{ $here === 'overlap' ? 'true' : 'false' }}">Text overlap</a><a href="{{ $writing }}"
    aria-current="{{ $here === 'writing' ? 'true' : 'false' }}">Writing signals</a></nav>
