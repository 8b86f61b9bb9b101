<p class="notice refusal" role="alert">{{ $why }}</p>
