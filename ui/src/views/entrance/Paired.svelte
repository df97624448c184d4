<h1>This device is paired</h1>
<p class="mt-2">
  The lessons of today and tomorrow are packed on it a few seconds after it is opened.
  <a class="link" href="#/">Go to today</a>
</p>
