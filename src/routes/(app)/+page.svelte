<h1>Bench</h1>
