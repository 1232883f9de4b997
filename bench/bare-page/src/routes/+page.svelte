<h1>bare</h1>
