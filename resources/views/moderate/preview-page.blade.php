<x-page :title="'Preview: '.$script->code" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" slim /></x-slot:head>
    <p class="notice">This is a look at what the student would see. Nothing is proposed yet: go back to the form to go on.
    </p>
    @include('moderate.preview')
</x-page>
