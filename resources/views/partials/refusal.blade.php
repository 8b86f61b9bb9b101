<div class="notice refusal" role="alert"><p>{{ $message }}</p></div>
