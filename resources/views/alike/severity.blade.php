@php use App\Wording\AlikeWords; @endphp
@if ($working !== [])
    <div class="panel mb-3">
        <x-working :lines="[
            ['what' => 'Beside the others', 'how' => 'least squares on the scripts that link markers; standard error '.AlikeWords::coefficient($working['se']), 'result' => AlikeWords::signed($working['effect'])],
            ['what' => 'Markers differ', 'how' => 'standard deviation between the '.$working['markers'].' linked markers, their own uncertainty taken off', 'result' => AlikeWords::coefficient($working['between'])],
            ['what' => 'Taken for true', 'how' => 'variance between markers ÷ (that + the standard error squared)', 'result' => AlikeWords::share($working['part'])],
            ['what' => 'Correction', 'how' => 'the opposite, times what is taken for true, to a tenth', 'result' => AlikeWords::signed(-$working['effect'] * $working['part'])],
        ]" />
        <p class="hint mt-1">An uncertain figure is drawn towards no correction (Efron and Morris, Journal of the American Statistical
            Association 70, 1975). It cannot tell a marker who is harsh on some scripts only.</p>
    </div>
@endif
