<h1>Draught</h1>
