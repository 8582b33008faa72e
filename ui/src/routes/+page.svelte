<p class="p-8">Opening the library …</p>
