<x-page title="Mail that went out">
    <x-slot:head><div class="heading"><h1>Mail that went out</h1><span class="of">{{ $count === 1 ? '1 mail' : $count.' mails' }} kept by the mail sink; none left this machine</span></div></x-slot:head>
    @forelse ($mails as $mail)
        <details class="sheet mb-2 px-4 py-2">
            <summary><b>{{ $mail['subject'] }}</b> <span class="quiet">to {{ $mail['to'] }}, {{ $mail['date'] }}</span></summary>
            <pre class="whitespace-pre-wrap mt-2 font-sans">{{ $mail['body'] }}</pre>
        </details>
    @empty
        <x-empty title="No mail yet">Mail goes out when results are released and when people are added to a module.</x-empty>
    @endforelse
</x-page>
