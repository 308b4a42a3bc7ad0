<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
<context>
    <name>QObject</name>
    <message>
        <source>%1: %2, %3 mm²</source>
        <translation>%L1: %L2, %L3 mm²</translation>
    </message>
    <message>
        <source>of it where it is seen: %1 mm², %2 mm² not smooth</source>
        <translation>davon, wo es gesehen wird: %L1 mm², %L2 mm² nicht glatt</translation>
    </message>
    <message>
        <source>Support leaves nothing on the part.</source>
        <translation>Stützen hinterlassen nichts am Teil.</translation>
    </message>
    <message>
        <source>What support leaves, about</source>
        <translation>Was Stützen hinterlassen, etwa</translation>
    </message>
    <message>
        <source>lean</source>
        <translation>schräg</translation>
    </message>
    <message>
        <source>starts</source>
        <translation>Luft</translation>
    </message>
    <message>
        <source>marks</source>
        <translation>Marken</translation>
    </message>
    <message>
        <source>holds</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>sway</source>
        <translation>wankt</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%L1 s</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%L1 min</translation>
    </message>
    <message>
        <source>%1 h %2 min</source>
        <translation>%L1 h %L2 min</translation>
    </message>
    <message>
        <source>time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>filament: part, support, interface, rest</source>
        <translation>Filament: Teil, Stützen, Trennlage, Rest</translation>
    </message>
    <message>
        <source>to take it off</source>
        <translation>zum Abnehmen</translation>
    </message>
    <message>
        <source>scars that show</source>
        <translation>sichtbare Narben</translation>
    </message>
    <message>
        <source>above %1 mm</source>
        <translation>oben %L1 mm</translation>
    </message>
    <message>
        <source>below %1 mm</source>
        <translation>unten %L1 mm</translation>
    </message>
    <message>
        <source>beside %1 mm</source>
        <translation>daneben %L1 mm</translation>
    </message>
    <message>
        <source>raft, gap %1 mm</source>
        <translation>Floß, Abstand %L1 mm</translation>
    </message>
    <message>
        <source>foot %1 mm</source>
        <translation>Fuß %L1 mm</translation>
    </message>
    <message>
        <source> The right button turns the view, the middle one or Space moves it, the wheel zooms.</source>
        <translation> Die rechte Taste dreht die Ansicht, die mittlere oder die Leertaste schiebt sie, das Rad zoomt.</translation>
    </message>
    <message>
        <source>keeps clean what it touches</source>
        <translation>hält sauber, was sie berührt</translation>
    </message>
    <message>
        <source>marks what will be seen</source>
        <translation>vermerkt, was gesehen wird</translation>
    </message>
    <message>
        <source>enforces</source>
        <translation>erzwingt</translation>
    </message>
    <message>
        <source>blocks</source>
        <translation>sperrt</translation>
    </message>
    <message>
        <source>clears</source>
        <translation>löscht</translation>
    </message>
    <message>
        <source>The left button %1, with Shift it blocks, with Ctrl it clears.</source>
        <translation>Die linke Taste %L1, mit Umschalt sperrt sie, mit Strg löscht sie.</translation>
    </message>
    <message>
        <source>Press at one height and release at the other: %1 what is between.</source>
        <translation>Bei einer Höhe drücken, bei der anderen loslassen: %L1, was dazwischen ist.</translation>
    </message>
    <message>
        <source>The left button puts a zone where you click. Then drag its handles.</source>
        <translation>Die linke Taste setzt eine Zone, wo Sie klicken. Dann ziehen Sie an ihren Griffen.</translation>
    </message>
    <message>
        <source>The left button puts a prop under the place you click, from below, from the side or from above; keep it pressed to move it.</source>
        <translation>Die linke Taste setzt einen Stempel unter die angeklickte Stelle, von unten, von der Seite oder von oben; gedrückt gehalten, bewegt sie ihn.</translation>
    </message>
    <message>
        <source>Point at a support: what is lit goes with a click.</source>
        <translation>Auf eine Stütze zeigen: Was leuchtet, geht mit einem Klick.</translation>
    </message>
    <message>
        <source>Click two places: their distance stays until it is cleared. Near a corner, the corner is meant.</source>
        <translation>Zwei Stellen anklicken: Ihr Abstand bleibt, bis er gelöscht wird. Nahe einer Ecke ist die Ecke gemeint.</translation>
    </message>
    <message>
        <source>The left button selects a part, a zone or a prop, and drags handles.</source>
        <translation>Die linke Taste wählt ein Teil, eine Zone oder einen Stempel und zieht an Griffen.</translation>
    </message>
    <message>
        <source> C cuts the part open at the pointer.</source>
        <translation> C schneidet das Teil am Zeiger auf.</translation>
    </message>
    <message>
        <source>%1 to %2 mm high; touches the part over %3 mm² above and %4 mm² below; filament for %5.</source>
        <translation>%L1 bis %L2 mm hoch; berührt das Teil auf %L3 mm² oben und %L4 mm² unten; Filament für %L5.</translation>
    </message>
    <message>
        <source> About %1 N part it from the part, and %2 s of a hand take it off. Its thinnest section is %3 mm² of line, %4 mm up.</source>
        <translation> Etwa %L1 N lösen es vom Teil, und eine Hand braucht %L2 s. Sein dünnster Querschnitt ist %L3 mm² Linie, %L4 mm hoch.</translation>
    </message>
    <message>
        <source> It comes out in a straight pull.</source>
        <translation> Es lässt sich gerade herausziehen.</translation>
    </message>
    <message>
        <source> No straight pull gets it out; along the best way %1 % of it is free.</source>
        <translation> Gerade herausziehen lässt es sich nicht; auf dem besten Weg sind %L1 % davon frei.</translation>
    </message>
    <message>
        <source> Water reaches it.</source>
        <translation> Wasser erreicht es.</translation>
    </message>
    <message>
        <source> Water does not reach it.</source>
        <translation> Wasser erreicht es nicht.</translation>
    </message>
    <message>
        <source>, %1–%2 mm up</source>
        <translation>, %L1–%L2 mm hoch</translation>
    </message>
    <message>
        <source>Machine</source>
        <translation>Maschine</translation>
    </message>
    <message>
        <source>Filament</source>
        <translation>Filament</translation>
    </message>
    <message>
        <source>Print</source>
        <translation>Druck</translation>
    </message>
    <message>
        <source>Plate, nozzle, speeds, retraction and the machine&apos;s own texts</source>
        <translation>Platte, Düse, Tempo, Rückzug und die eigenen Texte der Maschine</translation>
    </message>
    <message>
        <source>Heat, fan, flow, layer time and price, and how far it may lean and span</source>
        <translation>Wärme, Lüfter, Fluss, Schichtzeit und Preis, und wie weit es sich neigen und spannen darf</translation>
    </message>
    <message>
        <source>Layers, lines, speeds and everything about supports</source>
        <translation>Schichten, Linien, Tempo und alles über Stützen</translation>
    </message>
    <message>
        <source>on</source>
        <translation>an</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>off in %1 min · %2 %L3 mm²</source>
        <translation>ab in %L1 min · %L2 %L3 mm²</translation>
    </message>
    <message>
        <source>, %L1 seen</source>
        <translation>, %L1 gesehen</translation>
    </message>
    <message>
        <source>support, about</source>
        <translation>Stützen, etwa</translation>
    </message>
    <message>
        <source>hanging</source>
        <translation>überhängend</translation>
    </message>
    <message>
        <source>scarred</source>
        <translation>mit Narben</translation>
    </message>
    <message>
        <source>scarred where it is seen</source>
        <translation>mit Narben, wo es gesehen wird</translation>
    </message>
    <message>
        <source>on the plate</source>
        <translation>auf der Platte</translation>
    </message>
    <message>
        <source>height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>stepped faces</source>
        <translation>gestufte Flächen</translation>
    </message>
    <message>
        <source>stepped where it is seen</source>
        <translation>gestuft, wo es gesehen wird</translation>
    </message>
    <message>
        <source>thin and leaning: curls, and breaks easily</source>
        <translation>dünn und geneigt: rollt sich, und bricht leicht</translation>
    </message>
    <message>
        <source>sways under 1 N by</source>
        <translation>schwankt unter 1 N um</translation>
    </message>
    <message>
        <source>plate holds against</source>
        <translation>die Platte hält gegen</translation>
    </message>
    <message>
        <source>over 99 N</source>
        <translation>über 99 N</translation>
    </message>
    <message>
        <source>%1 N</source>
        <translation>%L1 N</translation>
    </message>
    <message>
        <source>yes</source>
        <translation>ja</translation>
    </message>
    <message>
        <source>no</source>
        <translation>nein</translation>
    </message>
    <message>
        <source>%1 g</source>
        <translation>%L1 g</translation>
    </message>
    <message>
        <source>filament</source>
        <translation>Filament</translation>
    </message>
    <message>
        <source>of it support</source>
        <translation>davon Stützen</translation>
    </message>
    <message>
        <source>money</source>
        <translation>Geld</translation>
    </message>
    <message>
        <source>pieces of support</source>
        <translation>Stücke von Stützen</translation>
    </message>
    <message>
        <source>contact under the part</source>
        <translation>Berührung unter dem Teil</translation>
    </message>
    <message>
        <source>%1 mm²</source>
        <translation>%L1 mm²</translation>
    </message>
    <message>
        <source>No support is built.</source>
        <translation>Es wird keine Stütze gebaut.</translation>
    </message>
    <message>
        <source>Pieces by how they come off: %1.</source>
        <translation>Stücke danach, wie sie abgehen: %L1.</translation>
    </message>
    <message>
        <source>&lt;p&gt;Nothing was noticed.&lt;/p&gt;</source>
        <translation>&lt;p&gt;Nichts fiel auf.&lt;/p&gt;</translation>
    </message>
    <message>
        <source> &lt;i&gt;Accepted: %1&lt;/i&gt;</source>
        <translation> &lt;i&gt;Hingenommen: %L1&lt;/i&gt;</translation>
    </message>
    <message>
        <source>&lt;p style=&apos;margin:2px&apos;&gt;And %1 more.&lt;/p&gt;</source>
        <translation>&lt;p style=&apos;margin:2px&apos;&gt;Und %L1 weitere.&lt;/p&gt;</translation>
    </message>
    <message>
        <source>it took %1</source>
        <translation>es dauerte %L1</translation>
    </message>
    <message>
        <source>What became of it</source>
        <translation>Was daraus wurde</translation>
    </message>
    <message>
        <source>The trial print was not run.</source>
        <translation>Der Probedruck wurde nicht gemacht.</translation>
    </message>
    <message>
        <source>Tally</source>
        <translation>Rechnung</translation>
    </message>
    <message>
        <source>Settings</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>Trial print and removal</source>
        <translation>Probedruck und Abnahme</translation>
    </message>
    <message>
        <source>Findings</source>
        <translation>Befunde</translation>
    </message>
    <message>
        <source>Tree suits %1: %2.</source>
        <translation>Baum passt zu %L1: %L2.</translation>
    </message>
    <message>
        <source>Normal suits %1: %2.</source>
        <translation>Gerade passt zu %L1: %L2.</translation>
    </message>
    <message>
        <source>Support is printed from one filament.</source>
        <translation>Stützen werden aus einem Filament gedruckt.</translation>
    </message>
    <message>
        <source>%1 tool changes.</source>
        <translation>%L1 Werkzeugwechsel.</translation>
    </message>
    <message>
        <source>%1 of %2 pieces keep a body that dissolves. The others&apos; bodies from the first filament save %3; %4 tool changes.</source>
        <translation>%L1 von %L2 Stücken behalten einen Körper, der sich löst. Die Körper der anderen aus dem ersten Filament sparen %L3; %L4 Werkzeugwechsel.</translation>
    </message>
    <message>
        <source>%1 sways by %2 mm at most, at %3 mm height; the plate holds it against a push of %4.</source>
        <translation>%L1 schwankt um höchstens %L2 mm, in %L3 mm Höhe; die Platte hält es gegen einen Druck von %L4.</translation>
    </message>
    <message>
        <source> Support holds it in %1 layers, from %2 mm on.</source>
        <translation> Stützen halten es in %L1 Schichten, ab %L2 mm.</translation>
    </message>
    <message>
        <source>There is no support to take off.</source>
        <translation>Es sind keine Stützen abzunehmen.</translation>
    </message>
    <message>
        <source>About %1 by hand, in %2. Choose one to see it done; forces and times are usual figures.</source>
        <translation>Etwa %L1 von Hand, in %L2. Einen wählen, um ihn zu sehen; Kräfte und Zeiten sind übliche Werte.</translation>
    </message>
    <message>
        <source>1 step</source>
        <translation>1 Schritt</translation>
    </message>
    <message>
        <source>%1 steps</source>
        <translation>%L1 Schritten</translation>
    </message>
    <message>
        <source> %1 cannot be taken off at all.</source>
        <translation> %L1 gehen gar nicht ab.</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Stück</translation>
    </message>
    <message>
        <source>%1 pieces</source>
        <translation>%L1 Stücke</translation>
    </message>
    <message>
        <source>lines far apart</source>
        <translation>Linien weit auseinander</translation>
    </message>
    <message>
        <source>lines close together</source>
        <translation>Linien eng beieinander</translation>
    </message>
    <message>
        <source>crossed lines</source>
        <translation>gekreuzte Linien</translation>
    </message>
    <message>
        <source>crossed and close</source>
        <translation>gekreuzt und eng</translation>
    </message>
    <message>
        <source>a rim</source>
        <translation>ein Rand</translation>
    </message>
    <message>
        <source>Filament by use: part, support body, interface, and the rest: skirt, brim, prime tower.</source>
        <translation>Filament nach Verwendung: Teil, Stützkörper, Trennlage und der Rest: Vorlinie, Rand, Spülturm.</translation>
    </message>
    <message>
        <source>on material</source>
        <translation>auf Material</translation>
    </message>
    <message>
        <source>on support</source>
        <translation>auf Stützen</translation>
    </message>
    <message>
        <source>sagging</source>
        <translation>durchhängend</translation>
    </message>
    <message>
        <source>bridging</source>
        <translation>überbrückend</translation>
    </message>
    <message>
        <source>on air</source>
        <translation>in der Luft</translation>
    </message>
</context>
<context>
    <name>trellis::Activity</name>
    <message>
        <source>Writing was given up. Nothing was changed.</source>
        <translation>Das Schreiben wurde aufgegeben. Nichts wurde geändert.</translation>
    </message>
</context>
<context>
    <name>trellis::BuildSheet</name>
    <message>
        <source>Build</source>
        <translation>Bauen</translation>
    </message>
    <message>
        <source>For the whole plate</source>
        <translation>Für die ganze Platte</translation>
    </message>
    <message>
        <source>Release</source>
        <translation>Ablösen</translation>
    </message>
    <message>
        <source>Preset</source>
        <translation>Vorgabe</translation>
    </message>
    <message>
        <source>Interface and body</source>
        <translation>Trennlage und Körper</translation>
    </message>
    <message>
        <source>Branches of a tree</source>
        <translation>Äste eines Baums</translation>
    </message>
    <message>
        <source>Where it stands</source>
        <translation>Wo sie steht</translation>
    </message>
    <message>
        <source>Filaments</source>
        <translation>Filamente</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Holds</source>
        <translation>Halte</translation>
    </message>
    <message>
        <source>Brim and skirt</source>
        <translation>Rand und Vorlinie</translation>
    </message>
    <message>
        <source>Layers and part</source>
        <translation>Schichten und Teil</translation>
    </message>
    <message>
        <source>%1 %2 %3, %4</source>
        <translation>%L1 %L2 %L3, %L4</translation>
    </message>
    <message>
        <source>For %1 alone</source>
        <translation>Nur für %L1</translation>
    </message>
    <message>
        <source>For one part alone</source>
        <translation>Nur für ein Teil</translation>
    </message>
    <message>
        <source>Select a part in Place to give it settings of its own.</source>
        <translation>Ein Teil in Aufstellen auswählen, um ihm eigene Einstellungen zu geben.</translation>
    </message>
    <message>
        <source>%1 has no settings of its own: those of the plate hold for it.</source>
        <translation>%L1 hat keine eigenen Einstellungen: für es gelten die der Platte.</translation>
    </message>
    <message>
        <source>%1 has %2 of its own; choose it alone above and their names are bold.</source>
        <translation>%L1 hat %L2 für sich; oben allein gewählt, stehen ihre Namen fett.</translation>
    </message>
    <message>
        <source>1 setting</source>
        <translation>1 Einstellung</translation>
    </message>
    <message>
        <source>%1 settings</source>
        <translation>%L1 Einstellungen</translation>
    </message>
    <message>
        <source>Supports are off: nothing below is built. Everything can still be set.</source>
        <translation>Stützen sind aus: Unten wird nichts gebaut. Einstellen lässt sich alles.</translation>
    </message>
    <message>
        <source>No support is built.</source>
        <translation>Es wird keine Stütze gebaut.</translation>
    </message>
    <message>
        <source>Built as %1; Check lists what each is printed from and how it comes off.</source>
        <translation>Gebaut als %L1; Prüfen sagt, woraus jedes gedruckt wird und wie es abgeht.</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Stück</translation>
    </message>
    <message>
        <source>%1 pieces</source>
        <translation>%L1 Stücke</translation>
    </message>
</context>
<context>
    <name>trellis::Builder</name>
    <message>
        <source>The print is still being built. Try again when it is done.</source>
        <translation>Der Druck wird noch gebaut. Danach noch einmal versuchen.</translation>
    </message>
    <message>
        <source>There is nothing to print yet. Open a part first.</source>
        <translation>Es gibt noch nichts zu drucken. Zuerst ein Teil öffnen.</translation>
    </message>
</context>
<context>
    <name>trellis::CheckSheet</name>
    <message>
        <source>Check</source>
        <translation>Prüfen</translation>
    </message>
    <message>
        <source>Findings</source>
        <translation>Befunde</translation>
    </message>
    <message>
        <source>How firmly it stands</source>
        <translation>Wie fest es steht</translation>
    </message>
    <message>
        <source>Under a push of 1 N sideways at the nozzle, height by height on the strip. An estimate: stiffness and hold on the plate are usual figures, not measured on yours.</source>
        <translation>Unter einem seitlichen Druck von 1 N an der Düse, Höhe für Höhe auf der Leiste. Eine Schätzung: Steifigkeit und Halt auf der Platte sind übliche Werte, nicht an Ihrer gemessen.</translation>
    </message>
    <message>
        <source>Report</source>
        <translation>Bericht</translation>
    </message>
    <message>
        <source>One page with pictures, the settings that matter, the tally and the findings.</source>
        <translation>Eine Seite mit Bildern, den Einstellungen, auf die es ankommt, der Rechnung und den Befunden.</translation>
    </message>
    <message>
        <source>Write a report…</source>
        <translation>Bericht schreiben…</translation>
    </message>
    <message>
        <source>Trial print</source>
        <translation>Probedruck</translation>
    </message>
    <message>
        <source>Go to the first place on air</source>
        <translation>Zur ersten Stelle in der Luft</translation>
    </message>
    <message>
        <source>Try a G-code file…</source>
        <translation>G-Code-Datei probieren…</translation>
    </message>
    <message>
        <source>Any program&apos;s G-code: shown layer by layer, coloured by what each line stands on, with its verdict. The project stays as it is.</source>
        <translation>G-Code irgendeines Programms: Schicht für Schicht gezeigt, gefärbt nach dem, worauf jede Linie liegt, mit Urteil. Das Projekt bleibt, wie es ist.</translation>
    </message>
    <message>
        <source>Back to the project</source>
        <translation>Zurück zum Projekt</translation>
    </message>
    <message>
        <source>Pieces</source>
        <translation>Stücke</translation>
    </message>
    <message>
        <source>Removal plan</source>
        <translation>Abnahmeplan</translation>
    </message>
    <message>
        <source>There is nothing to print yet.</source>
        <translation>Es gibt noch nichts zu drucken.</translation>
    </message>
    <message>
        <source>Being tried …</source>
        <translation>Wird probiert …</translation>
    </message>
    <message>
        <source>%1 open, %2 accepted. A picture takes you there.</source>
        <translation>%L1 offen, %L2 hingenommen. Ein Bild führt hin.</translation>
    </message>
    <message>
        <source>%1, worst first. A picture takes you there.</source>
        <translation>%L1, das Schlimmste zuerst. Ein Bild führt hin.</translation>
    </message>
    <message>
        <source>No support is built.</source>
        <translation>Es wird keine Stütze gebaut.</translation>
    </message>
    <message>
        <source>Built as %1. Choose a row to see the piece leave.</source>
        <translation>Gebaut als %L1. Eine Zeile wählen, um das Stück abgehen zu sehen.</translation>
    </message>
    <message>
        <source>1 piece</source>
        <translation>1 Stück</translation>
    </message>
    <message>
        <source>%1 pieces</source>
        <translation>%L1 Stücke</translation>
    </message>
</context>
<context>
    <name>trellis::CompareSheet</name>
    <message>
        <source>Compare</source>
        <translation>Vergleichen</translation>
    </message>
    <message>
        <source>Variants</source>
        <translation>Varianten</translation>
    </message>
    <message>
        <source>Ways to print the same parts, beside each other.</source>
        <translation>Wege, dieselben Teile zu drucken, nebeneinander.</translation>
    </message>
    <message>
        <source>Sweep</source>
        <translation>Reihe</translation>
    </message>
    <message>
        <source>Every combination of what may vary, and which of them nothing beats.</source>
        <translation>Jede Verbindung dessen, was sich ändern darf, und welche davon nichts übertrifft.</translation>
    </message>
    <message>
        <source>Ladders</source>
        <translation>Leitern</translation>
    </message>
    <message>
        <source>Small prints to learn one figure from.</source>
        <translation>Kleine Drucke, um eine Zahl zu lernen.</translation>
    </message>
    <message>
        <source>Prints</source>
        <translation>Drucke</translation>
    </message>
    <message>
        <source>What was printed, what became of it, and what was learnt.</source>
        <translation>Was gedruckt wurde, was daraus wurde und was gelernt wurde.</translation>
    </message>
    <message>
        <source>Printer</source>
        <translation>Drucker</translation>
    </message>
    <message>
        <source>Hands the print over to a printer, and follows it.</source>
        <translation>Gibt den Druck an einen Drucker und folgt ihm.</translation>
    </message>
</context>
<context>
    <name>trellis::DecisionList</name>
    <message>
        <source>Centre</source>
        <translation>Mitte</translation>
    </message>
    <message>
        <source> mm</source>
        <translation> mm</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehung</translation>
    </message>
    <message>
        <source>enforces</source>
        <translation>erzwingt</translation>
    </message>
    <message>
        <source>blocks</source>
        <translation>sperrt</translation>
    </message>
    <message>
        <source>keeps clear</source>
        <translation>hält frei</translation>
    </message>
    <message>
        <source>over </source>
        <translation>über </translation>
    </message>
    <message>
        <source>An enforcing zone asks for support under what leans more than this.</source>
        <translation>Eine erzwingende Zone verlangt Stützen unter allem, was sich mehr neigt als so.</translation>
    </message>
    <message>
        <source>a name, if you like</source>
        <translation>ein Name, wenn Sie mögen</translation>
    </message>
    <message>
        <source>hidden</source>
        <translation>verborgen</translation>
    </message>
    <message>
        <source>Not drawn. It decides all the same.</source>
        <translation>Nicht gezeichnet. Sie entscheidet trotzdem.</translation>
    </message>
    <message>
        <source>locked</source>
        <translation>fest</translation>
    </message>
    <message>
        <source>Has no handles in the scene, so that no slip of the hand moves it.</source>
        <translation>Hat keine Griffe im Bild, damit kein Versehen sie bewegt.</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopie</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>zone %1 · %2</source>
        <translation>Zone %L1 · %L2</translation>
    </message>
    <message>
        <source> · hidden</source>
        <translation> · verborgen</translation>
    </message>
    <message>
        <source> · locked</source>
        <translation> · fest</translation>
    </message>
    <message>
        <source>prop %1 · %2 mm</source>
        <translation>Stempel %L1 · %L2 mm</translation>
    </message>
    <message>
        <source>None yet.</source>
        <translation>Noch keine.</translation>
    </message>
    <message>
        <source>Its own support: %1 g, %2 min</source>
        <translation>Eigene Stütze: %L1 g, %L2 min</translation>
    </message>
    <message>
        <source>Its own support: …</source>
        <translation>Eigene Stütze: …</translation>
    </message>
</context>
<context>
    <name>trellis::DensityEditor</name>
    <message>
        <source>as density</source>
        <translation>als Dichte</translation>
    </message>
    <message>
        <source>Line width over line width and spacing. Changing it changes the spacing.</source>
        <translation>Linienbreite durch Linienbreite und Abstand. Ändert man sie, ändert sich der Abstand.</translation>
    </message>
</context>
<context>
    <name>trellis::Document</name>
    <message>
        <source>So much was done that the oldest steps can no longer be undone.</source>
        <translation>Es wurde so viel getan, dass die ältesten Schritte nicht mehr zurückgenommen werden können.</translation>
    </message>
    <message>
        <source>nothing to mend</source>
        <translation>nichts zu flicken</translation>
    </message>
    <message>
        <source>variant</source>
        <translation>Variante</translation>
    </message>
    <message>
        <source>%1 was not opened: this project was changed while it was being read, and would have been replaced. Save what is here and open it again.</source>
        <translation>%L1 wurde nicht geöffnet: Dieses Projekt wurde währenddessen geändert und wäre ersetzt worden. Sichern Sie, was da ist, und öffnen Sie es noch einmal.</translation>
    </message>
    <message>
        <source>%1 was saved by a newer Meek Trellis. It is open to look at; saving it here would lose what this version does not know.</source>
        <translation>%L1 wurde von einem neueren Meek Trellis gesichert. Es ist zum Ansehen offen; hier gesichert verlöre es, was diese Fassung nicht kennt.</translation>
    </message>
    <message>
        <source>Something is only being looked at: %1. Keep it or leave it first.</source>
        <translation>Etwas wird nur angesehen: %L1. Behalten oder lassen Sie es zuerst.</translation>
    </message>
    <message>
        <source>This project comes from a newer Meek Trellis and saving it here would lose decisions. Install the newer version.</source>
        <translation>Dieses Projekt kommt von einem neueren Meek Trellis, und hier gesichert verlöre es Entscheidungen. Installieren Sie die neuere Fassung.</translation>
    </message>
    <message>
        <source>empty plate</source>
        <translation>leere Platte</translation>
    </message>
    <message>
        <source>What was left is still there: this project was changed meanwhile. Save it first.</source>
        <translation>Was übrig war, ist noch da: Dieses Projekt wurde inzwischen geändert. Sichern Sie es zuerst.</translation>
    </message>
    <message>
        <source>The end of what was left was damaged; this is the state before it.</source>
        <translation>Das Ende des Übriggebliebenen war beschädigt; dies ist der Stand davor.</translation>
    </message>
</context>
<context>
    <name>trellis::FigureBars</name>
    <message>
        <source>Figures of the variants as bars</source>
        <translation>Zahlen der Varianten als Balken</translation>
    </message>
</context>
<context>
    <name>trellis::FindingCard</name>
    <message>
        <source>Go there: the layer at %1 mm, from above, %2 mm across.</source>
        <translation>Hingehen: die Schicht bei %L1 mm, von oben, %L2 mm breit.</translation>
    </message>
    <message>
        <source>&lt;br&gt;&lt;i&gt;Accepted.&lt;/i&gt;</source>
        <translation>&lt;br&gt;&lt;i&gt;Hingenommen.&lt;/i&gt;</translation>
    </message>
    <message>
        <source>&lt;br&gt;&lt;i&gt;Accepted: %1&lt;/i&gt;</source>
        <translation>&lt;br&gt;&lt;i&gt;Hingenommen: %L1&lt;/i&gt;</translation>
    </message>
    <message>
        <source>place %1 of %2</source>
        <translation>Stelle %L1 von %L2</translation>
    </message>
    <message>
        <source>No longer accept it</source>
        <translation>Nicht mehr hinnehmen</translation>
    </message>
    <message>
        <source>It is counted again.</source>
        <translation>Er wird wieder gezählt.</translation>
    </message>
    <message>
        <source>It was tried, and it helps. Undo takes it back.</source>
        <translation>Es wurde probiert, und es hilft. Rückgängig nimmt es zurück.</translation>
    </message>
    <message>
        <source>Accept…</source>
        <translation>Hinnehmen…</translation>
    </message>
    <message>
        <source>Lets it be. The finding moves to the end and is not counted.</source>
        <translation>Lässt es sein. Der Befund rückt ans Ende und zählt nicht.</translation>
    </message>
    <message>
        <source>trying what helps…</source>
        <translation>probiert, was hilft…</translation>
    </message>
    <message>
        <source>This overrules %1.</source>
        <translation>Das setzt sich über %L1 hinweg.</translation>
    </message>
    <message>
        <source> and </source>
        <translation> und </translation>
    </message>
    <message>
        <source>Overrule it</source>
        <translation>Trotzdem</translation>
    </message>
    <message>
        <source>Why you accept it, for later (may stay empty). Enter accepts.</source>
        <translation>Warum Sie es hinnehmen, für später (darf leer bleiben). Eingabe nimmt es hin.</translation>
    </message>
</context>
<context>
    <name>trellis::FindingList</name>
    <message>
        <source>Nothing was noticed that needs a decision.</source>
        <translation>Nichts fiel auf, das eine Entscheidung braucht.</translation>
    </message>
    <message>
        <source>Nothing is built yet.</source>
        <translation>Noch ist nichts gebaut.</translation>
    </message>
</context>
<context>
    <name>trellis::FirstHints</name>
    <message>
        <source>Turn the view with the right button; Y looks from below.</source>
        <translation>Die rechte Taste dreht die Ansicht; Y schaut von unten.</translation>
    </message>
    <message>
        <source>Rose is what hangs. Study (Alt+2) lists it, site by site.</source>
        <translation>Rosa hängt über. Ansehen (Alt+2) zählt die Stellen auf.</translation>
    </message>
    <message>
        <source>Paint on it: E enforces support, B blocks it. The tally follows each stroke.</source>
        <translation>Malen: E erzwingt Stützen, B sperrt sie; die Rechnung folgt.</translation>
    </message>
    <message>
        <source>I know.</source>
        <translation>Bekannt.</translation>
    </message>
    <message>
        <source>Dismiss this hint</source>
        <translation>Diesen Hinweis schließen</translation>
    </message>
</context>
<context>
    <name>trellis::GapDrawing</name>
    <message>
        <source>interface</source>
        <translation>Trennlage</translation>
    </message>
    <message>
        <source>graded</source>
        <translation>abgestuft</translation>
    </message>
    <message>
        <source>lower interface</source>
        <translation>untere Trennlage</translation>
    </message>
    <message>
        <source>body</source>
        <translation>Körper</translation>
    </message>
    <message>
        <source>to scale, layers %1 mm; below from above, 12 mm</source>
        <translation>maßstäblich, Schichten %L1 mm; unten von oben, 12 mm</translation>
    </message>
</context>
<context>
    <name>trellis::HandoverPage</name>
    <message>
        <source>Find it</source>
        <translation>Suchen</translation>
    </message>
    <message>
        <source>Asks the printer which line it is at. Nothing moves before you say so.</source>
        <translation>Fragt den Drucker, bei welcher Zeile er ist. Nichts bewegt sich, ehe Sie es sagen.</translation>
    </message>
    <message>
        <source>Forget it</source>
        <translation>Vergessen</translation>
    </message>
    <message>
        <source>The print that was under way cannot be followed: %1</source>
        <translation>Dem Druck, der unterwegs war, lässt sich nicht folgen: %L1</translation>
    </message>
    <message>
        <source>A printer on a serial line, or on the network as name:port, gets the lines one by one. The bench printer is a stand-in that prints in its head, sixty times as fast.</source>
        <translation>Ein Drucker an einer seriellen Leitung, oder im Netz als Name:Port, bekommt die Zeilen eine um die andere. Der Werkbankdrucker ist ein Stellvertreter, der in Gedanken druckt, sechzigmal so schnell.</translation>
    </message>
    <message>
        <source>Printer</source>
        <translation>Drucker</translation>
    </message>
    <message>
        <source>Print</source>
        <translation>Drucken</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Lifts the nozzle and keeps it warm.</source>
        <translation>Hebt die Düse und hält sie warm.</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>From where it is.</source>
        <translation>Von wo er ist.</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Ends the print: the nozzle lifts, the heaters go off.</source>
        <translation>Beendet den Druck: Die Düse hebt sich, die Heizungen gehen aus.</translation>
    </message>
    <message>
        <source>Stop at once</source>
        <translation>Sofort aus</translation>
    </message>
    <message>
        <source>In an emergency: everything stops where it is, and the printer has to be switched off and on.</source>
        <translation>Im Notfall: Alles bleibt stehen, wo es ist, und der Drucker muss aus- und eingeschaltet werden.</translation>
    </message>
    <message>
        <source>the bench printer, a stand-in</source>
        <translation>der Werkbankdrucker, ein Stellvertreter</translation>
    </message>
    <message>
        <source>Asking the printer where it is.</source>
        <translation>Fragt den Drucker, wo er ist.</translation>
    </message>
    <message>
        <source>%1 is being handed over; the printer heats.</source>
        <translation>%L1 wird übergeben; der Drucker heizt.</translation>
    </message>
    <message>
        <source>The printer has said nothing for %1 s.</source>
        <translation>Der Drucker hat seit %L1 s nichts gesagt.</translation>
    </message>
    <message>
        <source>%1 is being printed.</source>
        <translation>%L1 wird gedruckt.</translation>
    </message>
    <message>
        <source>Pausing: what it was sent is still printed.</source>
        <translation>Hält an: Was er schon hat, wird noch gedruckt.</translation>
    </message>
    <message>
        <source>Paused. The nozzle is lifted and kept warm.</source>
        <translation>Angehalten. Die Düse ist gehoben und bleibt warm.</translation>
    </message>
    <message>
        <source>The printer is out of filament. Load some, then go on.</source>
        <translation>Der Drucker hat kein Filament mehr. Legen Sie neues ein, dann weiter.</translation>
    </message>
    <message>
        <source>The line to the printer is gone. It is tried again every second.</source>
        <translation>Die Leitung zum Drucker ist weg. Sie wird jede Sekunde wieder versucht.</translation>
    </message>
    <message>
        <source>The printer is there and knows where it is. Look at the print, then go on.</source>
        <translation>Der Drucker ist da und weiß, wo er ist. Sehen Sie den Druck an, dann weiter.</translation>
    </message>
    <message>
        <source>Cancelling.</source>
        <translation>Bricht ab.</translation>
    </message>
    <message>
        <source>Cancelled. The heaters are off.</source>
        <translation>Abgebrochen. Die Heizungen sind aus.</translation>
    </message>
    <message>
        <source>%1 is printed. Note in Prints what became of it.</source>
        <translation>%L1 ist gedruckt. Schreiben Sie in Drucke auf, was daraus wurde.</translation>
    </message>
    <message>
        <source>layer %1 of %2 · %3 mm</source>
        <translation>Schicht %L1 von %L2 · %L3 mm</translation>
    </message>
    <message>
        <source> · %1 left</source>
        <translation> · noch %L1</translation>
    </message>
    <message>
        <source>
other filament at layer %1, %2 mm</source>
        <translation>
anderes Filament bei Schicht %L1, %L2 mm</translation>
    </message>
    <message>
        <source>%1, version %2, was being printed at %3 when the program ended.</source>
        <translation>%L1, Fassung %L2, wurde an %L3 gedruckt, als das Programm endete.</translation>
    </message>
    <message>
        <source>Keeps a version and hands it over.</source>
        <translation>Behält eine Fassung und gibt sie weiter.</translation>
    </message>
    <message>
        <source>There is nothing built to print yet.</source>
        <translation>Es ist noch nichts gebaut, das zu drucken wäre.</translation>
    </message>
    <message>
        <source>Lines sent again: %1.</source>
        <translation>Noch einmal gesendete Zeilen: %L1.</translation>
    </message>
</context>
<context>
    <name>trellis::HeatCurves</name>
    <message>
        <source>Heat of nozzle and plate</source>
        <translation>Wärme von Düse und Platte</translation>
    </message>
    <message>
        <source>nozzle</source>
        <translation>Düse</translation>
    </message>
    <message>
        <source>plate</source>
        <translation>Platte</translation>
    </message>
    <message>
        <source>%1 of %2 °C</source>
        <translation>%L1 von %L2 °C</translation>
    </message>
</context>
<context>
    <name>trellis::LadderPage</name>
    <message>
        <source>Ladder</source>
        <translation>Leiter</translation>
    </message>
    <message>
        <source>A row of like shapes, each with another value of one figure and its number on its front. Print it, take the support off, and note which rung was best.</source>
        <translation>Eine Reihe gleicher Körper, jeder mit einem anderen Wert einer Zahl, die vorn darauf steht. Drucken, Stützen abnehmen, aufschreiben, welche Sprosse die beste war.</translation>
    </message>
    <message>
        <source>gap above</source>
        <translation>Abstand oben</translation>
    </message>
    <message>
        <source>gap below</source>
        <translation>Abstand unten</translation>
    </message>
    <message>
        <source>gap beside</source>
        <translation>Abstand daneben</translation>
    </message>
    <message>
        <source>interface spacing</source>
        <translation>Abstand der Trennlage</translation>
    </message>
    <message>
        <source>lean</source>
        <translation>Neigung</translation>
    </message>
    <message>
        <source>bridge</source>
        <translation>Brücke</translation>
    </message>
    <message>
        <source>column width</source>
        <translation>Säulenbreite</translation>
    </message>
    <message>
        <source>flat ceilings</source>
        <translation>flache Decken</translation>
    </message>
    <message>
        <source>ceilings that slope by 60°</source>
        <translation>Decken, um 60° geneigt</translation>
    </message>
    <message>
        <source>small tips under a ceiling</source>
        <translation>kleine Spitzen unter einer Decke</translation>
    </message>
    <message>
        <source>About</source>
        <translation>Über</translation>
    </message>
    <message>
        <source>Under</source>
        <translation>Unter</translation>
    </message>
    <message>
        <source>from</source>
        <translation>von</translation>
    </message>
    <message>
        <source>to</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>by</source>
        <translation>um</translation>
    </message>
    <message>
        <source>Put the ladder on the plate</source>
        <translation>Die Leiter auf die Platte stellen</translation>
    </message>
    <message>
        <source>As a variant of its own, on an empty plate; what is there now stays beside it.</source>
        <translation>Als eigene Variante auf einer leeren Platte; was jetzt da ist, bleibt daneben.</translation>
    </message>
    <message>
        <source>Fragment</source>
        <translation>Bruchstück</translation>
    </message>
    <message>
        <source>mm</source>
        <translation>mm</translation>
    </message>
    <message>
        <source>Cut it out</source>
        <translation>Herausschneiden</translation>
    </message>
    <message>
        <source>What lies in the box as a part of its own, with its marks, in a variant of its own.</source>
        <translation>Was im Kasten liegt, als eigenes Teil mit seinen Marken, in einer eigenen Variante.</translation>
    </message>
    <message>
        <source>As rungs of the ladder</source>
        <translation>Als Sprossen der Leiter</translation>
    </message>
    <message>
        <source>The fragment once for each figure of the ladder above, with a little sign before each.</source>
        <translation>Das Bruchstück einmal für jede Zahl der Leiter oben, mit einem Schildchen vor jedem.</translation>
    </message>
    <message>
        <source>1 rung: %1</source>
        <translation>1 Sprosse: %L1</translation>
    </message>
    <message>
        <source>%1 rungs: %2</source>
        <translation>%L1 Sprossen: %L2</translation>
    </message>
    <message>
        <source>A box cuts a piece out of %1: try a figure on it before the whole is printed.</source>
        <translation>Ein Kasten schneidet ein Stück aus %L1: eine Zahl daran probieren, ehe das Ganze gedruckt wird.</translation>
    </message>
    <message>
        <source>Select a part to cut a piece out of it.</source>
        <translation>Ein Teil auswählen, um ein Stück herauszuschneiden.</translation>
    </message>
</context>
<context>
    <name>trellis::LayerSwitches</name>
    <message>
        <source>walls</source>
        <translation>Wände</translation>
    </message>
    <message>
        <source>Draw walls</source>
        <translation>Wände zeichnen</translation>
    </message>
    <message>
        <source>covers</source>
        <translation>Decken</translation>
    </message>
    <message>
        <source>Draw covers and bridging lines</source>
        <translation>Decken und Brückenlinien zeichnen</translation>
    </message>
    <message>
        <source>infill</source>
        <translation>Füllung</translation>
    </message>
    <message>
        <source>Draw infill</source>
        <translation>Füllung zeichnen</translation>
    </message>
    <message>
        <source>support</source>
        <translation>Stützen</translation>
    </message>
    <message>
        <source>Draw support bodies, branches, holds and feet</source>
        <translation>Stützkörper, Äste, Halte und Füße zeichnen</translation>
    </message>
    <message>
        <source>interface</source>
        <translation>Trennlage</translation>
    </message>
    <message>
        <source>Draw interfaces</source>
        <translation>Trennlagen zeichnen</translation>
    </message>
    <message>
        <source>rest</source>
        <translation>Rest</translation>
    </message>
    <message>
        <source>Draw skirt, brim and prime tower</source>
        <translation>Vorlinie, Rand und Spülturm zeichnen</translation>
    </message>
    <message>
        <source>travel</source>
        <translation>Wege</translation>
    </message>
    <message>
        <source>Draw where the nozzle moves without printing</source>
        <translation>Zeichnen, wo die Düse fährt, ohne zu drucken</translation>
    </message>
    <message>
        <source>arrows</source>
        <translation>Pfeile</translation>
    </message>
    <message>
        <source>Draw which way each line is printed</source>
        <translation>Zeichnen, in welche Richtung jede Linie gedruckt wird</translation>
    </message>
    <message>
        <source>stands on</source>
        <translation>liegt auf</translation>
    </message>
    <message>
        <source>Colour each line by what it stands on, as the trial print found: plate, material, support, bridge, or air in vermilion with bars across</source>
        <translation>Jede Linie nach dem färben, worauf sie liegt, wie der Probedruck fand: Platte, Material, Stütze, Brücke oder Luft in Zinnober mit Querstrichen</translation>
    </message>
    <message>
        <source>speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>Colour each line by how fast it is drawn</source>
        <translation>Jede Linie danach färben, wie schnell sie gezogen wird</translation>
    </message>
    <message>
        <source>flow</source>
        <translation>Fluss</translation>
    </message>
    <message>
        <source>Colour each line by how much filament is laid in a second</source>
        <translation>Jede Linie danach färben, wie viel Filament in einer Sekunde gelegt wird</translation>
    </message>
    <message>
        <source>from above</source>
        <translation>von oben</translation>
    </message>
    <message>
        <source>Look straight down on this layer, as large as it fits (U)</source>
        <translation>Gerade auf diese Schicht hinabsehen, so groß sie passt (U)</translation>
    </message>
    <message>
        <source>play</source>
        <translation>abspielen</translation>
    </message>
    <message>
        <source>Draw the layers as they would be printed, from this one up, or stop (P)</source>
        <translation>Die Schichten zeichnen, wie sie gedruckt würden, von dieser aufwärts, oder anhalten (P)</translation>
    </message>
    <message>
        <source>How many times as fast as it prints</source>
        <translation>Wievielmal so schnell, wie gedruckt wird</translation>
    </message>
    <message>
        <source>× %1</source>
        <translation>× %L1</translation>
    </message>
    <message>
        <source>%1 mm³/s</source>
        <translation>%L1 mm³/s</translation>
    </message>
    <message>
        <source>%1 mm/s</source>
        <translation>%L1 mm/s</translation>
    </message>
</context>
<context>
    <name>trellis::LeanWedge</name>
    <message>
        <source>%1° from the wall</source>
        <translation>%L1° von der Wand</translation>
    </message>
    <message>
        <source>%1° from the plate</source>
        <translation>%L1° von der Platte</translation>
    </message>
    <message>
        <source>plate</source>
        <translation>Platte</translation>
    </message>
    <message>
        <source>upright wall</source>
        <translation>gerade Wand</translation>
    </message>
    <message>
        <source>ceiling</source>
        <translation>Decke</translation>
    </message>
    <message>
        <source>%1° is held up</source>
        <translation>%L1° gehalten</translation>
    </message>
    <message>
        <source>%1° prints</source>
        <translation>%L1° druckt</translation>
    </message>
</context>
<context>
    <name>trellis::LocalEditor</name>
    <message>
        <source>Give it a setting of its own…</source>
        <translation>Eine eigene Einstellung geben…</translation>
    </message>
    <message>
        <source>As around it</source>
        <translation>Wie ringsum</translation>
    </message>
</context>
<context>
    <name>trellis::MainWindow</name>
    <message>
        <source>Place</source>
        <translation>Aufstellen</translation>
    </message>
    <message>
        <source>Study</source>
        <translation>Ansehen</translation>
    </message>
    <message>
        <source>Mark</source>
        <translation>Markieren</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Bauen</translation>
    </message>
    <message>
        <source>Check</source>
        <translation>Prüfen</translation>
    </message>
    <message>
        <source>Compare</source>
        <translation>Vergleichen</translation>
    </message>
    <message>
        <source>Alt+%1</source>
        <translation>Alt+%L1</translation>
    </message>
    <message>
        <source> (to look at only)</source>
        <translation> (nur zum Ansehen)</translation>
    </message>
    <message>
        <source> — edited</source>
        <translation> — geändert</translation>
    </message>
    <message>
        <source> · Meek Trellis</source>
        <translation> · Meek Trellis</translation>
    </message>
    <message>
        <source>Meek Trellis</source>
        <translation>Meek Trellis</translation>
    </message>
    <message>
        <source>%1 has changes that are not saved.</source>
        <translation>%L1 hat Änderungen, die nicht gesichert sind.</translation>
    </message>
    <message>
        <source>Add parts</source>
        <translation>Teile dazu</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>A revised mesh</source>
        <translation>Ein überarbeitetes Netz</translation>
    </message>
    <message>
        <source>This measures %1 mm across if it was drawn in millimetres. What was it drawn in?</source>
        <translation>Das misst %L1 mm, wenn es in Millimetern gezeichnet wurde. Worin wurde es gezeichnet?</translation>
    </message>
    <message>
        <source>Millimetres</source>
        <translation>Millimeter</translation>
    </message>
    <message>
        <source>Inches</source>
        <translation>Zoll</translation>
    </message>
    <message>
        <source>Metres</source>
        <translation>Meter</translation>
    </message>
    <message>
        <source>Micrometres</source>
        <translation>Mikrometer</translation>
    </message>
    <message>
        <source>Try a G-code file</source>
        <translation>G-Code-Datei probieren</translation>
    </message>
    <message>
        <source>G-code (*.gcode *.GCODE *.gco *.g *.nc);;All files (*)</source>
        <translation>G-Code (*.gcode *.GCODE *.gco *.g *.nc);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>Save project</source>
        <translation>Projekt sichern</translation>
    </message>
    <message>
        <source>Projects (*.3mf)</source>
        <translation>Projekte (*.3mf)</translation>
    </message>
    <message>
        <source>Write a report</source>
        <translation>Bericht schreiben</translation>
    </message>
    <message>
        <source>Documents (*.pdf *.html)</source>
        <translation>Dokumente (*.pdf *.html)</translation>
    </message>
    <message>
        <source>Report written to %1</source>
        <translation>Bericht nach %L1 geschrieben</translation>
    </message>
    <message>
        <source>Parts and supports (*.3mf)</source>
        <translation>Teile und Stützen (*.3mf)</translation>
    </message>
    <message>
        <source>The same with their layers (*.3mf)</source>
        <translation>Dasselbe mit ihren Schichten (*.3mf)</translation>
    </message>
    <message>
        <source>Write supports</source>
        <translation>Stützen schreiben</translation>
    </message>
    <message>
        <source>Supports alone (*.stl)</source>
        <translation>Nur Stützen (*.stl)</translation>
    </message>
    <message>
        <source>Write the parts as STL</source>
        <translation>Die Teile als STL schreiben</translation>
    </message>
    <message>
        <source>Meshes (*.stl)</source>
        <translation>Netze (*.stl)</translation>
    </message>
    <message>
        <source>Write G-code</source>
        <translation>G-Code schreiben</translation>
    </message>
    <message>
        <source>G-code (*.gcode)</source>
        <translation>G-Code (*.gcode)</translation>
    </message>
    <message>
        <source>G-code written to %1, as version %2</source>
        <translation>G-Code nach %L1 geschrieben, als Fassung %L2</translation>
    </message>
    <message>
        <source>Write a recipe</source>
        <translation>Rezept schreiben</translation>
    </message>
    <message>
        <source>Recipes (*.json)</source>
        <translation>Rezepte (*.json)</translation>
    </message>
    <message>
        <source>Open a recipe</source>
        <translation>Rezept öffnen</translation>
    </message>
    <message>
        <source>recipe %1</source>
        <translation>Rezept %L1</translation>
    </message>
    <message>
        <source>This recipe changes nothing: everything is so already.</source>
        <translation>Dieses Rezept ändert nichts: Alles ist schon so.</translation>
    </message>
    <message>
        <source>This recipe would change:

%1

It is tried out now. Keep it, or leave all as it was.</source>
        <translation>Dieses Rezept würde ändern:

%L1

Es wird jetzt probiert. Behalten Sie es, oder lassen Sie alles, wie es war.</translation>
    </message>
    <message>
        <source>File</source>
        <translation>Datei</translation>
    </message>
    <message>
        <source>New</source>
        <translation>Neu</translation>
    </message>
    <message>
        <source>Open…</source>
        <translation>Öffnen…</translation>
    </message>
    <message>
        <source>Open the demo parts</source>
        <translation>Die Beispielteile öffnen</translation>
    </message>
    <message>
        <source>Add parts…</source>
        <translation>Teile dazu…</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Save as…</source>
        <translation>Sichern als…</translation>
    </message>
    <message>
        <source>Write G-code…</source>
        <translation>G-Code schreiben…</translation>
    </message>
    <message>
        <source>Hand over to a printer…</source>
        <translation>An einen Drucker geben…</translation>
    </message>
    <message>
        <source>Write the parts as STL…</source>
        <translation>Die Teile als STL schreiben…</translation>
    </message>
    <message>
        <source>Write supports as STL, or with the parts as 3MF…</source>
        <translation>Stützen als STL schreiben, oder mit den Teilen als 3MF…</translation>
    </message>
    <message>
        <source>Try a G-code file…</source>
        <translation>G-Code-Datei probieren…</translation>
    </message>
    <message>
        <source>Write a recipe…</source>
        <translation>Rezept schreiben…</translation>
    </message>
    <message>
        <source>Open a recipe…</source>
        <translation>Rezept öffnen…</translation>
    </message>
    <message>
        <source>Write a report…</source>
        <translation>Bericht schreiben…</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>Edit</source>
        <translation>Bearbeiten</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Find a command…</source>
        <translation>Befehl suchen…</translation>
    </message>
    <message>
        <source>Part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>Drop to plate</source>
        <translation>Auf die Platte stellen</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopie</translation>
    </message>
    <message>
        <source>Mirror along x</source>
        <translation>An x spiegeln</translation>
    </message>
    <message>
        <source>Mirror along y</source>
        <translation>An y spiegeln</translation>
    </message>
    <message>
        <source>Mirror along z</source>
        <translation>An z spiegeln</translation>
    </message>
    <message>
        <source>Spread out</source>
        <translation>Verteilen</translation>
    </message>
    <message>
        <source>Select all</source>
        <translation>Alle auswählen</translation>
    </message>
    <message>
        <source>Next part</source>
        <translation>Nächstes Teil</translation>
    </message>
    <message>
        <source>Lay a face down</source>
        <translation>Fläche auflegen</translation>
    </message>
    <message>
        <source>Look for turnings</source>
        <translation>Drehungen suchen</translation>
    </message>
    <message>
        <source>Mend</source>
        <translation>Flicken</translation>
    </message>
    <message>
        <source>Wrap</source>
        <translation>Umhüllen</translation>
    </message>
    <message>
        <source>Replace the mesh…</source>
        <translation>Das Netz ersetzen…</translation>
    </message>
    <message>
        <source>Keep what is tried out</source>
        <translation>Das Probierte behalten</translation>
    </message>
    <message>
        <source>Pick</source>
        <translation>Wählen</translation>
    </message>
    <message>
        <source>Ball</source>
        <translation>Kugel</translation>
    </message>
    <message>
        <source>Sight</source>
        <translation>Sicht</translation>
    </message>
    <message>
        <source>Face</source>
        <translation>Fläche</translation>
    </message>
    <message>
        <source>Site</source>
        <translation>Stelle</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Band</translation>
    </message>
    <message>
        <source>Place a zone</source>
        <translation>Zone setzen</translation>
    </message>
    <message>
        <source>Place a prop</source>
        <translation>Stempel setzen</translation>
    </message>
    <message>
        <source>Remove support</source>
        <translation>Stütze wegnehmen</translation>
    </message>
    <message>
        <source>Twin strokes</source>
        <translation>Striche auf beiden Seiten</translation>
    </message>
    <message>
        <source>Stop at creases</source>
        <translation>An Kanten anhalten</translation>
    </message>
    <message>
        <source>Mark all that leans more than an angle</source>
        <translation>Alles markieren, was sich mehr als um einen Winkel neigt</translation>
    </message>
    <message>
        <source>Enforce</source>
        <translation>Erzwingen</translation>
    </message>
    <message>
        <source>Block</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Nothing (clear)</source>
        <translation>Nichts (löschen)</translation>
    </message>
    <message>
        <source>Keep clean</source>
        <translation>Sauber halten</translation>
    </message>
    <message>
        <source>Will be seen</source>
        <translation>Wird gesehen</translation>
    </message>
    <message>
        <source>Swap enforce and block</source>
        <translation>Erzwingen und Sperren tauschen</translation>
    </message>
    <message>
        <source>Next tint</source>
        <translation>Nächster Ton</translation>
    </message>
    <message>
        <source>Previous tint</source>
        <translation>Voriger Ton</translation>
    </message>
    <message>
        <source>Larger brush</source>
        <translation>Größerer Pinsel</translation>
    </message>
    <message>
        <source>Smaller brush</source>
        <translation>Kleinerer Pinsel</translation>
    </message>
    <message>
        <source>Clear all marks of the part</source>
        <translation>Alle Marken des Teils löschen</translation>
    </message>
    <message>
        <source>Supports on or off</source>
        <translation>Stützen an oder aus</translation>
    </message>
    <message>
        <source>Build again</source>
        <translation>Noch einmal bauen</translation>
    </message>
    <message>
        <source>Cancel building</source>
        <translation>Bauen abbrechen</translation>
    </message>
    <message>
        <source>View</source>
        <translation>Ansicht</translation>
    </message>
    <message>
        <source>Fit</source>
        <translation>Einpassen</translation>
    </message>
    <message>
        <source>Turn over: from below, and back</source>
        <translation>Umdrehen: von unten, und zurück</translation>
    </message>
    <message>
        <source>From the front</source>
        <translation>Von vorn</translation>
    </message>
    <message>
        <source>From the right</source>
        <translation>Von rechts</translation>
    </message>
    <message>
        <source>From the back</source>
        <translation>Von hinten</translation>
    </message>
    <message>
        <source>From the left</source>
        <translation>Von links</translation>
    </message>
    <message>
        <source>From above</source>
        <translation>Von oben</translation>
    </message>
    <message>
        <source>Three quarters</source>
        <translation>Dreiviertel</translation>
    </message>
    <message>
        <source>In parallel, or in perspective again</source>
        <translation>Parallel, oder wieder perspektivisch</translation>
    </message>
    <message>
        <source>Whole / supports alone / part alone / what support leaves</source>
        <translation>Ganz / nur Stützen / nur Teil / was Stützen hinterlassen</translation>
    </message>
    <message>
        <source>Cut away to here</source>
        <translation>Bis hier aufschneiden</translation>
    </message>
    <message>
        <source>Turn the cut round</source>
        <translation>Schnitt umdrehen</translation>
    </message>
    <message>
        <source>No cutaway</source>
        <translation>Kein Schnitt</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Messen</translation>
    </message>
    <message>
        <source>Clear what was measured</source>
        <translation>Gemessenes löschen</translation>
    </message>
    <message>
        <source>Selected part alone</source>
        <translation>Nur das gewählte Teil</translation>
    </message>
    <message>
        <source>Look down on the layer</source>
        <translation>Auf die Schicht hinabsehen</translation>
    </message>
    <message>
        <source>One layer up</source>
        <translation>Eine Schicht hinauf</translation>
    </message>
    <message>
        <source>One layer down</source>
        <translation>Eine Schicht hinab</translation>
    </message>
    <message>
        <source>Play the layers</source>
        <translation>Schichten abspielen</translation>
    </message>
    <message>
        <source>Show all layers</source>
        <translation>Alle Schichten zeigen</translation>
    </message>
    <message>
        <source>New variant</source>
        <translation>Neue Variante</translation>
    </message>
    <message>
        <source>Pin what is there as a variant</source>
        <translation>Was da ist, als Variante merken</translation>
    </message>
    <message>
        <source>A ladder, or a fragment of a part…</source>
        <translation>Eine Leiter, oder ein Bruchstück eines Teils…</translation>
    </message>
    <message>
        <source>A sweep: every combination…</source>
        <translation>Eine Reihe: jede Verbindung…</translation>
    </message>
    <message>
        <source>What became of a print…</source>
        <translation>Was aus einem Druck wurde…</translation>
    </message>
    <message>
        <source>Colours as the desktop has them, from the next start</source>
        <translation>Farben wie der Schreibtisch, ab dem nächsten Start</translation>
    </message>
    <message>
        <source>Colours by day, from the next start</source>
        <translation>Farben des Tages, ab dem nächsten Start</translation>
    </message>
    <message>
        <source>Colours by night, from the next start</source>
        <translation>Farben der Nacht, ab dem nächsten Start</translation>
    </message>
    <message>
        <source>Language as the desktop has it, from the next start</source>
        <translation>Sprache wie der Schreibtisch, ab dem nächsten Start</translation>
    </message>
    <message>
        <source>English, from the next start</source>
        <translation>English, ab dem nächsten Start</translation>
    </message>
    <message>
        <source>Deutsch, from the next start</source>
        <translation>Deutsch, ab dem nächsten Start</translation>
    </message>
    <message>
        <source>Breakdown</source>
        <translation>Aufschlüsselung</translation>
    </message>
    <message>
        <source>Help</source>
        <translation>Hilfe</translation>
    </message>
    <message>
        <source>Manual</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Open recent</source>
        <translation>Zuletzt geöffnet</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>Setting · %1</source>
        <translation>Einstellung · %L1</translation>
    </message>
    <message>
        <source>Part · %1</source>
        <translation>Teil · %L1</translation>
    </message>
    <message>
        <source>Finding · %1</source>
        <translation>Befund · %L1</translation>
    </message>
    <message>
        <source>Manual · %1</source>
        <translation>Handbuch · %L1</translation>
    </message>
    <message>
        <source>%1 is set on the page of its machine, filament or print, in Build.</source>
        <translation>%L1 steht auf der Seite der Maschine, des Filaments oder des Drucks, in Bauen.</translation>
    </message>
    <message>
        <source>Find</source>
        <translation>Suchen</translation>
    </message>
    <message>
        <source>Type a part of its name: a command, a setting, a part, a finding, a page of the manual</source>
        <translation>Einen Teil des Namens tippen: ein Befehl, eine Einstellung, ein Teil, ein Befund, eine Seite des Handbuchs</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>%1 is being printed. Without the window the printer gets no more lines and stands still, warm, where it is.</source>
        <translation>%L1 wird gedruckt. Ohne das Fenster bekommt der Drucker keine Zeilen mehr und bleibt warm stehen, wo er ist.</translation>
    </message>
    <message>
        <source>Keep printing</source>
        <translation>Weiter drucken</translation>
    </message>
    <message>
        <source>Close all the same</source>
        <translation>Trotzdem schließen</translation>
    </message>
    <message>
        <source>Nearer</source>
        <translation>Näher heran</translation>
    </message>
    <message>
        <source>Farther</source>
        <translation>Weiter weg</translation>
    </message>
    <message>
        <source>&lt;tr&gt;&lt;td&gt;Scene · turn by 15°, with Shift to the next straight view&lt;/td&gt;&lt;td&gt;Arrows&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Scene · move the cross, with Shift by one pixel&lt;/td&gt;&lt;td&gt;Ctrl+Arrows&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Scene · the left button at the cross, with Shift the other mark&lt;/td&gt;&lt;td&gt;Return&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Scene · hide supports while held&lt;/td&gt;&lt;td&gt;`&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Scene · slide while held&lt;/td&gt;&lt;td&gt;Space&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Scene · brush size&lt;/td&gt;&lt;td&gt;Ctrl+wheel&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Scene · slide the cut&lt;/td&gt;&lt;td&gt;Shift+wheel&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Strip · one layer, with Shift ten&lt;/td&gt;&lt;td&gt;Wheel&lt;/td&gt;&lt;/tr&gt;&lt;/table&gt;</source>
        <translation>&lt;tr&gt;&lt;td&gt;Bild · um 15° drehen, mit Umschalt zur nächsten geraden Ansicht&lt;/td&gt;&lt;td&gt;Pfeile&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Bild · das Kreuz bewegen, mit Umschalt um ein Pixel&lt;/td&gt;&lt;td&gt;Strg+Pfeile&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Bild · linke Taste am Kreuz, mit Umschalt die andere Marke&lt;/td&gt;&lt;td&gt;Eingabe&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Bild · Stützen verbergen, solange gehalten&lt;/td&gt;&lt;td&gt;`&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Bild · schieben, solange gehalten&lt;/td&gt;&lt;td&gt;Leertaste&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Bild · Pinselgröße&lt;/td&gt;&lt;td&gt;Strg+Rad&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Bild · den Schnitt schieben&lt;/td&gt;&lt;td&gt;Umschalt+Rad&lt;/td&gt;&lt;/tr&gt;&lt;tr&gt;&lt;td&gt;Leiste · eine Schicht, mit Umschalt zehn&lt;/td&gt;&lt;td&gt;Rad&lt;/td&gt;&lt;/tr&gt;&lt;/table&gt;</translation>
    </message>
</context>
<context>
    <name>trellis::Manual</name>
    <message>
        <source>Manual</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>Chapters</source>
        <translation>Kapitel</translation>
    </message>
    <message>
        <source>The chapter</source>
        <translation>Das Kapitel</translation>
    </message>
    <message>
        <source>The manual belongs in %1 and is not there.</source>
        <translation>Das Handbuch gehört nach %L1 und ist nicht da.</translation>
    </message>
</context>
<context>
    <name>trellis::MarkSheet</name>
    <message>
        <source>Mark</source>
        <translation>Markieren</translation>
    </message>
    <message>
        <source>Zones and props of the part</source>
        <translation>Zonen und Stempel des Teils</translation>
    </message>
    <message>
        <source>Pick</source>
        <translation>Wählen</translation>
    </message>
    <message>
        <source>Selects parts, zones and props, and lays nothing. Key 0.</source>
        <translation>Wählt Teile, Zonen und Stempel und malt nichts. Taste 0.</translation>
    </message>
    <message>
        <source>Ball</source>
        <translation>Kugel</translation>
    </message>
    <message>
        <source>Everything within a ball in space, round edges and undersides too. Key 1.</source>
        <translation>Alles innerhalb einer Kugel im Raum, auch um Kanten herum und an Unterseiten. Taste 1.</translation>
    </message>
    <message>
        <source>Sight</source>
        <translation>Sicht</translation>
    </message>
    <message>
        <source>Only what you see within the circle; what is hidden stays as it is. Key 2.</source>
        <translation>Nur was Sie im Kreis sehen; Verdecktes bleibt, wie es ist. Taste 2.</translation>
    </message>
    <message>
        <source>Face</source>
        <translation>Fläche</translation>
    </message>
    <message>
        <source>The flat or smooth face under the pointer, up to a crease. It lights before you click. Key 3.</source>
        <translation>Die ebene oder glatte Fläche unter dem Zeiger, bis zu einer Kante. Sie leuchtet vor dem Klick. Taste 3.</translation>
    </message>
    <message>
        <source>Site</source>
        <translation>Stelle</translation>
    </message>
    <message>
        <source>The whole overhanging site under the pointer. Key 4.</source>
        <translation>Die ganze überhängende Stelle unter dem Zeiger. Taste 4.</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Band</translation>
    </message>
    <message>
        <source>Everything between two heights: press at one, release at the other, on the part or on the strip. Key 5.</source>
        <translation>Alles zwischen zwei Höhen: bei der einen drücken, bei der anderen loslassen, am Teil oder auf der Leiste. Taste 5.</translation>
    </message>
    <message>
        <source>Zone</source>
        <translation>Zone</translation>
    </message>
    <message>
        <source>A solid that decides for what it covers. Click: it lands there and covers the whole site. Key Z.</source>
        <translation>Ein Körper, der für alles entscheidet, was er bedeckt. Klick: Er landet dort und bedeckt die ganze Stelle. Taste Z.</translation>
    </message>
    <message>
        <source>Prop</source>
        <translation>Stempel</translation>
    </message>
    <message>
        <source>One support exactly here. Drag it along the surface. Key R.</source>
        <translation>Eine Stütze genau hier. Über die Fläche ziehen. Taste R.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>Point at a support: what would go lights up, with its grams. Click: it goes, its neighbours stay. Key D.</source>
        <translation>Auf eine Stütze zeigen: Was ginge, leuchtet, mit Gramm. Klick: Sie geht, ihre Nachbarn bleiben. Taste D.</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Messen</translation>
    </message>
    <message>
        <source>The distance between two places, along the axes too. Key I.</source>
        <translation>Der Abstand zweier Punkte, auch entlang der Achsen. Taste I.</translation>
    </message>
    <message>
        <source>enforce</source>
        <translation>stützen</translation>
    </message>
    <message>
        <source>Support goes under what is marked, whatever its lean; a marked wall is held. Key E.</source>
        <translation>Unter das Markierte kommen Stützen, wie es sich auch neigt; eine markierte Wand wird gehalten. Taste E.</translation>
    </message>
    <message>
        <source>block</source>
        <translation>sperren</translation>
    </message>
    <message>
        <source>No support under what is marked, and none stands on it. Key B.</source>
        <translation>Keine Stütze unter dem Markierten, und keine steht darauf. Taste B.</translation>
    </message>
    <message>
        <source>clear</source>
        <translation>löschen</translation>
    </message>
    <message>
        <source>Takes marks away. Key N, or hold Ctrl while laying.</source>
        <translation>Nimmt Marken weg. Taste N, oder Strg beim Malen halten.</translation>
    </message>
    <message>
        <source>clean</source>
        <translation>sauber</translation>
    </message>
    <message>
        <source>Keeps what is marked free of any contact: no support, and nothing stands on it. With Ctrl it may be touched again. Key K.</source>
        <translation>Hält das Markierte frei von jeder Berührung: keine Stütze, und nichts steht darauf. Mit Strg darf es wieder berührt werden. Taste K.</translation>
    </message>
    <message>
        <source>seen</source>
        <translation>gesehen</translation>
    </message>
    <message>
        <source>This will be looked at: support goes elsewhere where that carries as much, and a scar here counts tenfold. Softer than clean. With Ctrl it is not seen. Key O.</source>
        <translation>Das wird angesehen: Stützen gehen anderswohin, wo das gleich viel trägt, und eine Narbe hier zählt zehnfach. Sanfter als sauber. Mit Strg wird es nicht gesehen. Taste O.</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source> mm</source>
        <translation> mm</translation>
    </message>
    <message>
        <source>How wide the brush is. Ctrl and wheel, or [ and ], change it too.</source>
        <translation>Wie breit der Pinsel ist. Strg und Rad, oder [ und ], ändern es auch.</translation>
    </message>
    <message>
        <source>Crease</source>
        <translation>Kante</translation>
    </message>
    <message>
        <source>Edges that bend more than this end a face, and stop a stroke that is to stop at creases.</source>
        <translation>Kanten, die sich mehr biegen, beenden eine Fläche, und einen Strich, der an Kanten anhalten soll.</translation>
    </message>
    <message>
        <source>only where it hangs</source>
        <translation>nur wo es überhängt</translation>
    </message>
    <message>
        <source>Marks land only where the surface leans more than the free lean.</source>
        <translation>Marken landen nur, wo sich die Fläche mehr neigt als die freie Neigung.</translation>
    </message>
    <message>
        <source>stop at creases</source>
        <translation>an Kanten anhalten</translation>
    </message>
    <message>
        <source>Ball and Sight stay on the surface under the pointer and do not wrap round a sharp edge or onto the far face. Key Q.</source>
        <translation>Kugel und Sicht bleiben auf der Fläche unter dem Zeiger und greifen nicht um eine scharfe Kante oder auf die Rückseite. Taste Q.</translation>
    </message>
    <message>
        <source>enforces</source>
        <translation>erzwingt</translation>
    </message>
    <message>
        <source>Support under every underside in it that leans more than the zone&apos;s own lean.</source>
        <translation>Stützen unter jeder Unterseite darin, die sich mehr neigt als die eigene Neigung der Zone.</translation>
    </message>
    <message>
        <source>blocks</source>
        <translation>sperrt</translation>
    </message>
    <message>
        <source>No support under what is in it.</source>
        <translation>Keine Stütze unter dem, was darin ist.</translation>
    </message>
    <message>
        <source>keeps clear</source>
        <translation>hält frei</translation>
    </message>
    <message>
        <source>No support in it, and none passes through.</source>
        <translation>Keine Stütze darin, und keine geht hindurch.</translation>
    </message>
    <message>
        <source>box</source>
        <translation>Kasten</translation>
    </message>
    <message>
        <source>cylinder</source>
        <translation>Zylinder</translation>
    </message>
    <message>
        <source>ball</source>
        <translation>Kugel</translation>
    </message>
    <message>
        <source>slab: between two heights</source>
        <translation>Platte: zwischen zwei Höhen</translation>
    </message>
    <message>
        <source>any mesh…</source>
        <translation>beliebiges Netz…</translation>
    </message>
    <message>
        <source>Width of the prop</source>
        <translation>Breite des Stempels</translation>
    </message>
    <message>
        <source>How thick the next one is. Each can be changed afterwards.</source>
        <translation>Wie dick der nächste ist. Jeder lässt sich danach ändern.</translation>
    </message>
    <message>
        <source>a column or branch</source>
        <translation>eine Säule oder ein Ast</translation>
    </message>
    <message>
        <source>the whole piece</source>
        <translation>das ganze Stück</translation>
    </message>
    <message>
        <source>everything but this piece</source>
        <translation>alles außer diesem Stück</translation>
    </message>
    <message>
        <source>How wide the disc is that is cut out of a support whose outline is close. A square column goes as it is, a branch with all its tips.</source>
        <translation>Wie breit die Scheibe ist, die aus einer Stütze mit engem Umriss geschnitten wird. Eine quadratische Säule geht, wie sie ist, ein Ast mit allen Spitzen.</translation>
    </message>
    <message>
        <source>A mesh for zones</source>
        <translation>Ein Netz für Zonen</translation>
    </message>
    <message>
        <source>twin strokes across</source>
        <translation>beiderseits</translation>
    </message>
    <message>
        <source>Each stroke is laid on both sides of the part, as one step. Key W.</source>
        <translation>Jeder Strich wird auf beide Seiten des Teils gelegt, als ein Schritt. Taste W.</translation>
    </message>
    <message>
        <source>the plane found</source>
        <translation>der gefundenen Ebene</translation>
    </message>
    <message>
        <source>x</source>
        <translation>x</translation>
    </message>
    <message>
        <source>y</source>
        <translation>y</translation>
    </message>
    <message>
        <source>z</source>
        <translation>z</translation>
    </message>
    <message>
        <source>The plane of mirroring: the one the part is most nearly symmetrical about, or one square to an axis of its mesh.</source>
        <translation>Die Spiegelebene: die, an der das Teil am ehesten symmetrisch ist, oder eine senkrecht zu einer Achse seines Netzes.</translation>
    </message>
    <message>
        <source>On the whole part</source>
        <translation>Am ganzen Teil</translation>
    </message>
    <message>
        <source>All that leans more than</source>
        <translation>Neigt sich über</translation>
    </message>
    <message>
        <source>Becomes ordinary marks that can be painted over.</source>
        <translation>Wird zu gewöhnlichen Marken, die übermalt werden können.</translation>
    </message>
    <message>
        <source>Lays marks there. Until then, changing the angle only shows them.</source>
        <translation>Legt dort Marken. Bis dahin zeigt der Winkel sie nur.</translation>
    </message>
    <message>
        <source>all marks</source>
        <translation>alle Marken</translation>
    </message>
    <message>
        <source>enforcers</source>
        <translation>Erzwingendes</translation>
    </message>
    <message>
        <source>blockers</source>
        <translation>Sperrendes</translation>
    </message>
    <message>
        <source>clean faces</source>
        <translation>saubere Flächen</translation>
    </message>
    <message>
        <source>seen faces</source>
        <translation>gesehene Flächen</translation>
    </message>
    <message>
        <source>zones</source>
        <translation>Zonen</translation>
    </message>
    <message>
        <source>props</source>
        <translation>Stempel</translation>
    </message>
    <message>
        <source>site choices</source>
        <translation>Wahl der Stellen</translation>
    </message>
    <message>
        <source>support made elsewhere</source>
        <translation>anderswo gemachte Stützen</translation>
    </message>
    <message>
        <source>Clear</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Looking for the part&apos;s symmetry…</source>
        <translation>Sucht die Symmetrie des Teils…</translation>
    </message>
    <message>
        <source>The plane goes through the middle of the mesh.</source>
        <translation>Die Ebene geht durch die Mitte des Netzes.</translation>
    </message>
    <message>
        <source>%1 % of the surface has its mirror image.</source>
        <translation>%L1 % der Fläche hat ihr Spiegelbild.</translation>
    </message>
    <message>
        <source>No part is selected.</source>
        <translation>Kein Teil ist ausgewählt.</translation>
    </message>
    <message>
        <source>%1: %2 mm² enforced, %3 mm² blocked, %4 mm² kept clean, %5 mm² seen</source>
        <translation>%L1: %L2 mm² erzwungen, %L3 mm² gesperrt, %L4 mm² sauber gehalten, %L5 mm² gesehen</translation>
    </message>
</context>
<context>
    <name>trellis::PieceList</name>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>g</source>
        <translation>g</translation>
    </message>
    <message>
        <source>min</source>
        <translation>min</translation>
    </message>
    <message>
        <source>removal</source>
        <translation>Abnahme</translation>
    </message>
    <message>
        <source>body</source>
        <translation>Körper</translation>
    </message>
    <message>
        <source>print the chosen bodies from…</source>
        <translation>die gewählten Körper drucken aus…</translation>
    </message>
    <message>
        <source>first</source>
        <translation>erstem</translation>
    </message>
    <message>
        <source>second</source>
        <translation>zweitem</translation>
    </message>
    <message>
        <source>, set</source>
        <translation>, festgelegt</translation>
    </message>
</context>
<context>
    <name>trellis::PlaceSheet</name>
    <message>
        <source>Place</source>
        <translation>Aufstellen</translation>
    </message>
    <message>
        <source>Which way up</source>
        <translation>Welche Seite oben</translation>
    </message>
    <message>
        <source>Lay a face down</source>
        <translation>Fläche auflegen</translation>
    </message>
    <message>
        <source>Point at a face: a ghost shows how the part would rest on it. A click keeps that. L.</source>
        <translation>Auf eine Fläche zeigen: Ein Schemen zeigt, wie das Teil darauf läge. Ein Klick behält das. L.</translation>
    </message>
    <message>
        <source>Add part…</source>
        <translation>Teil dazu…</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopie</translation>
    </message>
    <message>
        <source>A copy beside the part, with its marks and settings. Ctrl+C.</source>
        <translation>Eine Kopie neben dem Teil, mit seinen Marken und Einstellungen. Strg+C.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>Takes the selected parts off the plate. Delete.</source>
        <translation>Nimmt die gewählten Teile von der Platte. Entf.</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegeln</translation>
    </message>
    <message>
        <source>Mirrors the part along the plate&apos;s %1.</source>
        <translation>Spiegelt das Teil entlang %L1 der Platte.</translation>
    </message>
    <message>
        <source>Spread out</source>
        <translation>Verteilen</translation>
    </message>
    <message>
        <source>Gives every part a place of its own, 5 mm from the others, its supports counted.</source>
        <translation>Gibt jedem Teil einen eigenen Platz, 5 mm von den anderen, seine Stützen mitgezählt.</translation>
    </message>
    <message>
        <source>Mesh</source>
        <translation>Netz</translation>
    </message>
    <message>
        <source>Mend</source>
        <translation>Flicken</translation>
    </message>
    <message>
        <source>Joins seams, turns facets, fills holes, drops specks and doubles. Every sound vertex stays. Shown first; kept when you say so.</source>
        <translation>Schließt Nähte, dreht Dreiecke, füllt Löcher, lässt Krümel und Doppeltes weg. Jede heile Ecke bleibt. Erst gezeigt; behalten, wenn Sie es sagen.</translation>
    </message>
    <message>
        <source>Wrap</source>
        <translation>Umhüllen</translation>
    </message>
    <message>
        <source>The last resort: a new closed skin around everything, up to 0.1 mm outside. Fine detail is lost.</source>
        <translation>Der letzte Ausweg: eine neue geschlossene Haut um alles, bis 0,1 mm außen. Feines geht verloren.</translation>
    </message>
    <message>
        <source>Replace…</source>
        <translation>Ersetzen…</translation>
    </message>
    <message>
        <source>A revised mesh in place of this one. Marks stay where the surface is still there; the rest is listed in the findings.</source>
        <translation>Ein überarbeitetes Netz anstelle dieses. Marken bleiben, wo die Fläche noch da ist; den Rest zählen die Befunde auf.</translation>
    </message>
    <message>
        <source>Position</source>
        <translation>Lage</translation>
    </message>
    <message>
        <source> mm</source>
        <translation> mm</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Drehung</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Scale</source>
        <translation>Maßstab</translation>
    </message>
    <message>
        <source>in proportion</source>
        <translation>im Verhältnis</translation>
    </message>
    <message>
        <source>Size and scale change alike along all three axes. Off, each is free.</source>
        <translation>Größe und Maßstab ändern sich auf allen drei Achsen gleich. Aus, ist jede frei.</translation>
    </message>
    <message>
        <source>Lift</source>
        <translation>Anhub</translation>
    </message>
    <message>
        <source>From the plate to the part&apos;s lowest point. A lifted part stays up when it is turned; at 0 it rests on the plate.</source>
        <translation>Von der Platte zum tiefsten Punkt des Teils. Ein angehobenes Teil bleibt oben, wenn es gedreht wird; bei 0 steht es auf der Platte.</translation>
    </message>
    <message>
        <source>Drop to plate</source>
        <translation>Auf die Platte stellen</translation>
    </message>
    <message>
        <source>Straight down or up onto the plate, where the part rests from then on. Ctrl+D.</source>
        <translation>Gerade hinab oder hinauf auf die Platte, wo das Teil von da an steht. Strg+D.</translation>
    </message>
    <message>
        <source>%1 along %2</source>
        <translation>%L1 entlang %L2</translation>
    </message>
    <message>
        <source>looking it over…</source>
        <translation>wird angesehen…</translation>
    </message>
    <message>
        <source>The mesh is closed and sound.</source>
        <translation>Das Netz ist geschlossen und heil.</translation>
    </message>
    <message>
        <source> Support made elsewhere came with it: it is printed as it is, and no more is proposed.</source>
        <translation> Anderswo gemachte Stützen kamen mit: Sie werden gedruckt, wie sie sind, und mehr wird nicht vorgeschlagen.</translation>
    </message>
    <message>
        <source>No part is on the plate yet.</source>
        <translation>Noch ist kein Teil auf der Platte.</translation>
    </message>
    <message>
        <source>%1 parts selected; figures are of %2. </source>
        <translation>%L1 Teile ausgewählt; die Zahlen sind die von %L2. </translation>
    </message>
    <message>
        <source>As it stands %1 × %2 × %3 mm, %L4 facets.</source>
        <translation>Wie es steht %L1 × %L2 × %L3 mm, %L4 Dreiecke.</translation>
    </message>
</context>
<context>
    <name>trellis::PresetEditor</name>
    <message>
        <source>tuned by hand</source>
        <translation>von Hand abgestimmt</translation>
    </message>
    <message>
        <source>Tuned by hand; choosing a preset sets all of it anew.</source>
        <translation>Von Hand abgestimmt; eine Vorgabe stellt alles neu ein.</translation>
    </message>
</context>
<context>
    <name>trellis::PreviewBar</name>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Makes a step of it, which can be undone. Ctrl+Enter.</source>
        <translation>Macht einen Schritt daraus, der zurückgenommen werden kann. Strg+Eingabe.</translation>
    </message>
    <message>
        <source>Leave as it was</source>
        <translation>Lassen, wie es war</translation>
    </message>
    <message>
        <source>Everything is as it was before. Esc.</source>
        <translation>Alles ist wie zuvor. Esc.</translation>
    </message>
    <message>
        <source>Keep as a variant</source>
        <translation>Als Variante behalten</translation>
    </message>
    <message>
        <source>What was there stays as it is, as a variant of its own; this one is gone on with.</source>
        <translation>Was da war, bleibt, wie es ist, als eigene Variante; mit dieser geht es weiter.</translation>
    </message>
    <message>
        <source>building…</source>
        <translation>baut…</translation>
    </message>
    <message>
        <source>support %1 g, before %2 g</source>
        <translation>Stützen %L1 g, vorher %L2 g</translation>
    </message>
    <message>
        <source>marks lost in %1 place%2</source>
        <translation>Marken an %L1 Stelle(n) verloren%L2</translation>
    </message>
    <message>
        <source>the mesh is sound</source>
        <translation>das Netz ist heil</translation>
    </message>
    <message>
        <source>left: </source>
        <translation>übrig: </translation>
    </message>
    <message>
        <source>Trying out: %1 · %2</source>
        <translation>Probiert: %L1 · %L2</translation>
    </message>
</context>
<context>
    <name>trellis::PrintPage</name>
    <message>
        <source>Writing G-code keeps a version: all that was printed, under six letters that stand in the G-code&apos;s head. Note here what became of it.</source>
        <translation>G-Code schreiben behält eine Fassung: alles Gedruckte, unter sechs Buchstaben, die im Kopf des G-Codes stehen. Schreiben Sie hier auf, was daraus wurde.</translation>
    </message>
    <message>
        <source>Mark as printed</source>
        <translation>Als gedruckt vermerken</translation>
    </message>
    <message>
        <source>Keep what is there now as a version.</source>
        <translation>Behält, was jetzt da ist, als Fassung.</translation>
    </message>
    <message>
        <source>version</source>
        <translation>Fassung</translation>
    </message>
    <message>
        <source>code</source>
        <translation>Kennung</translation>
    </message>
    <message>
        <source>date</source>
        <translation>Tag</translation>
    </message>
    <message>
        <source>file</source>
        <translation>Datei</translation>
    </message>
    <message>
        <source>As a variant</source>
        <translation>Als Variante</translation>
    </message>
    <message>
        <source>A variant that is as this version was, in hand; compare it with what there is now.</source>
        <translation>Eine Variante, wie diese Fassung war, in der Hand; vergleichen Sie sie mit dem, was jetzt da ist.</translation>
    </message>
    <message>
        <source>Back to it</source>
        <translation>Dahin zurück</translation>
    </message>
    <message>
        <source>Everything as it was when this was printed. Undo takes it back.</source>
        <translation>Alles, wie es war, als dies gedruckt wurde. Rückgängig nimmt es zurück.</translation>
    </message>
    <message>
        <source>version %1</source>
        <translation>Fassung %L1</translation>
    </message>
    <message>
        <source>What became of it</source>
        <translation>Was daraus wurde</translation>
    </message>
    <message>
        <source>what</source>
        <translation>was</translation>
    </message>
    <message>
        <source>came off</source>
        <translation>ging ab</translation>
    </message>
    <message>
        <source>underside</source>
        <translation>Unterseite</translation>
    </message>
    <message>
        <source>What became of each part</source>
        <translation>Was aus jedem Teil wurde</translation>
    </message>
    <message>
        <source>Click a part, a piece of support or a site in the scene to come to its row.</source>
        <translation>Ein Teil, ein Stück Stütze oder eine Stelle im Bild anklicken, um zu seiner Zeile zu kommen.</translation>
    </message>
    <message>
        <source>something failed…</source>
        <translation>etwas misslang…</translation>
    </message>
    <message>
        <source> mm up</source>
        <translation> mm hoch</translation>
    </message>
    <message>
        <source>It took</source>
        <translation>Es dauerte</translation>
    </message>
    <message>
        <source>Taking support off took</source>
        <translation>Stützen abnehmen dauerte</translation>
    </message>
    <message>
        <source>anything else</source>
        <translation>sonst noch etwas</translation>
    </message>
    <message>
        <source>Add a picture…</source>
        <translation>Bild dazu…</translation>
    </message>
    <message>
        <source>Or drop photographs here. They are copied into the notes.</source>
        <translation>Oder Fotos hierher ziehen. Sie werden in die Notizen kopiert.</translation>
    </message>
    <message>
        <source>Keep the note</source>
        <translation>Die Notiz behalten</translation>
    </message>
    <message>
        <source>Add a picture</source>
        <translation>Bild dazu</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg)</source>
        <translation>Bilder (*.png *.jpg *.jpeg)</translation>
    </message>
    <message>
        <source>Learnt of this filament on this machine</source>
        <translation>Gelernt über dieses Filament auf dieser Maschine</translation>
    </message>
    <message>
        <source>Write to file…</source>
        <translation>In Datei schreiben…</translation>
    </message>
    <message>
        <source>All notes of this filament on this machine with their pictures, to take to another machine.</source>
        <translation>Alle Notizen über dieses Filament auf dieser Maschine mit ihren Bildern, um sie zu einer anderen Maschine mitzunehmen.</translation>
    </message>
    <message>
        <source>Take from file…</source>
        <translation>Aus Datei nehmen…</translation>
    </message>
    <message>
        <source>Write notes</source>
        <translation>Notizen schreiben</translation>
    </message>
    <message>
        <source>Notes (*.zip)</source>
        <translation>Notizen (*.zip)</translation>
    </message>
    <message>
        <source>Take notes</source>
        <translation>Notizen nehmen</translation>
    </message>
    <message>
        <source> at %1 mm</source>
        <translation> bei %L1 mm</translation>
    </message>
    <message numerus="yes">
        <source>%n picture(s)</source>
        <translation>
            <numerusform>%n Bild</numerusform>
            <numerusform>%n Bilder</numerusform>
        </translation>
    </message>
    <message>
        <source>Best: %1 %2 %3.</source>
        <translation>Am besten: %L1 %L2 %L3.</translation>
    </message>
    <message>
        <source>Keep %1 for %2</source>
        <translation>%L1 für %L2 behalten</translation>
    </message>
    <message>
        <source>%1 %2 %3, %4</source>
        <translation>%L1 %L2 %L3, %L4</translation>
    </message>
    <message>
        <source>Prints take %1 times as long as reckoned, give or take %2, by %3 prints.</source>
        <translation>Drucke dauern %L1-mal so lang wie gerechnet, mehr oder weniger %L2, nach %L3 Drucken.</translation>
    </message>
    <message>
        <source>Taking support off takes %1 times as long as reckoned.</source>
        <translation>Stützen abnehmen dauert %L1-mal so lang wie gerechnet.</translation>
    </message>
    <message>
        <source>Nothing yet.</source>
        <translation>Noch nichts.</translation>
    </message>
</context>
<context>
    <name>trellis::RecoveryBar</name>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>Opens it as it was. Nothing is saved until you save.</source>
        <translation>Öffnet es, wie es war. Nichts ist gesichert, bis Sie sichern.</translation>
    </message>
    <message>
        <source>Throw away</source>
        <translation>Wegwerfen</translation>
    </message>
    <message>
        <source>It cannot be brought back afterwards.</source>
        <translation>Danach lässt es sich nicht zurückholen.</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Asks again when the program is started next.</source>
        <translation>Fragt beim nächsten Start des Programms wieder.</translation>
    </message>
    <message>
        <source>a project that was never saved</source>
        <translation>ein nie gesichertes Projekt</translation>
    </message>
    <message>
        <source>1 step</source>
        <translation>1 Schritt</translation>
    </message>
    <message>
        <source>%1 steps</source>
        <translation>%L1 Schritten</translation>
    </message>
    <message>
        <source>The program ended before %1 was saved: %2, the last on %3.</source>
        <translation>Das Programm endete, ehe %L1 gesichert war: %L2, der letzte am %L3.</translation>
    </message>
</context>
<context>
    <name>trellis::RemovalList</name>
    <message>
        <source>step</source>
        <translation>Schritt</translation>
    </message>
    <message>
        <source>piece</source>
        <translation>Stück</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>by</source>
        <translation>um</translation>
    </message>
    <message>
        <source>move</source>
        <translation>Griff</translation>
    </message>
    <message>
        <source>pliers</source>
        <translation>Zange</translation>
    </message>
    <message>
        <source>hand</source>
        <translation>Hand</translation>
    </message>
    <message>
        <source>. About %1 N: more than fingers give, so take pliers.</source>
        <translation>. Etwa %L1 N: mehr, als Finger geben, also eine Zange nehmen.</translation>
    </message>
    <message>
        <source>. About %1 N.</source>
        <translation>. Etwa %L1 N.</translation>
    </message>
</context>
<context>
    <name>trellis::SceneOverlay</name>
    <message>
        <source>size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>gap above %1 mm</source>
        <translation>Abstand oben %L1 mm</translation>
    </message>
    <message>
        <source>click the other end</source>
        <translation>das andere Ende anklicken</translation>
    </message>
    <message>
        <source>%1 mm   x %2  y %3  z %4</source>
        <translation>%L1 mm   x %L2  y %L3  z %L4</translation>
    </message>
    <message>
        <source>   faces %1</source>
        <translation>   Flächen %L1</translation>
    </message>
    <message>
        <source>weakest: %1 mm² of line</source>
        <translation>am schwächsten: %L1 mm² Linie</translation>
    </message>
    <message>
        <source>lines: %1</source>
        <translation>Linien: %L1</translation>
    </message>
</context>
<context>
    <name>trellis::SceneView</name>
    <message>
        <source>piece %1  ·  %2 mm high  ·  %3 g, %4 min  ·  %6, body from the %7 filament  ·  %5</source>
        <translation>Stück %L1  ·  %L2 mm hoch  ·  %L3 g, %L4 min  ·  %L6, Körper aus dem %L7 Filament  ·  %L5</translation>
    </message>
    <message>
        <source>first</source>
        <translation>erstem</translation>
    </message>
    <message>
        <source>second</source>
        <translation>zweitem</translation>
    </message>
    <message>
        <source>Click the face that is to lie on the plate. Esc leaves it.</source>
        <translation>Die Fläche anklicken, die auf der Platte liegen soll. Esc lässt es.</translation>
    </message>
    <message>
        <source>leans %1° (%2° from the plate)</source>
        <translation>neigt sich %L1° (%L2° von der Platte)</translation>
    </message>
    <message>
        <source>faces up</source>
        <translation>zeigt nach oben</translation>
    </message>
    <message>
        <source>upright wall</source>
        <translation>gerade Wand</translation>
    </message>
    <message>
        <source>  ·  %1 g, %2 min</source>
        <translation>  ·  %L1 g, %L2 min</translation>
    </message>
    <message>
        <source>&lt;br&gt;beats: </source>
        <translation>&lt;br&gt;übertrifft: </translation>
    </message>
    <message>
        <source>No support is here. Point at one that is built.</source>
        <translation>Hier ist keine Stütze. Auf eine zeigen, die gebaut ist.</translation>
    </message>
    <message>
        <source>A part was moved: supports can be taken away once they are built there.</source>
        <translation>Ein Teil wurde bewegt: Stützen lassen sich wegnehmen, sobald sie dort gebaut sind.</translation>
    </message>
    <message>
        <source>Let go: the %1 that are lit go</source>
        <translation>Loslassen: Die %L1 leuchtenden gehen</translation>
    </message>
    <message>
        <source>Click: all other support of the part goes</source>
        <translation>Klick: Alle anderen Stützen des Teils gehen</translation>
    </message>
    <message>
        <source>Click: what is lit goes</source>
        <translation>Klick: Was leuchtet, geht</translation>
    </message>
    <message>
        <source>Click: the whole piece goes</source>
        <translation>Klick: Das ganze Stück geht</translation>
    </message>
    <message>
        <source>  ·  being weighed…</source>
        <translation>  ·  wird gewogen…</translation>
    </message>
    <message>
        <source>It covers all of site %1</source>
        <translation>Sie bedeckt die ganze Stelle %L1</translation>
    </message>
    <message>
        <source>It covers what is around the place</source>
        <translation>Sie bedeckt, was um die Stelle ist</translation>
    </message>
    <message>
        <source>: %1 × %2 × %3 mm. Drag it, its faces or its ring.</source>
        <translation>: %L1 × %L2 × %L3 mm. Ziehen Sie sie, ihre Flächen oder ihren Ring.</translation>
    </message>
    <message>
        <source>Nothing was marked: there is no surface under the pointer.</source>
        <translation>Nichts wurde markiert: Unter dem Zeiger ist keine Fläche.</translation>
    </message>
    <message>
        <source>There is no surface here. Click on a part.</source>
        <translation>Hier ist keine Fläche. Auf ein Teil klicken.</translation>
    </message>
    <message>
        <source>No underside is over this place. Click under one, on it, or on the wall to be held.</source>
        <translation>Über dieser Stelle ist keine Unterseite. Unter eine klicken, auf sie, oder auf die Wand, die gehalten werden soll.</translation>
    </message>
    <message>
        <source>The zone covers no site.</source>
        <translation>Die Zone bedeckt keine Stelle.</translation>
    </message>
    <message>
        <source>The zone covers %2 mm² of site %1.</source>
        <translation>Die Zone bedeckt %L2 mm² der Stelle %L1.</translation>
    </message>
    <message>
        <source>The zone covers %2 mm² of sites %1.</source>
        <translation>Die Zone bedeckt %L2 mm² der Stellen %L1.</translation>
    </message>
    <message>
        <source>the inside</source>
        <translation>das Innere</translation>
    </message>
</context>
<context>
    <name>trellis::SetLines</name>
    <message>
        <source>All figures of the %1</source>
        <translation>Alle Werte: %L1</translation>
    </message>
    <message>
        <source>This project&apos;s %1 has other figures than yours of that name. Choose it again to use yours.</source>
        <translation>%L1 dieses Projekts hat andere Werte als Ihres unter diesem Namen. Noch einmal wählen, um Ihres zu nehmen.</translation>
    </message>
</context>
<context>
    <name>trellis::SetPage</name>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Keeps the figures below under the name above.</source>
        <translation>Behält die Werte unten unter dem Namen oben.</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
    <message>
        <source>Gives what is kept the name above.</source>
        <translation>Gibt dem Behaltenen den Namen oben.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>Removes what is kept; one that ships is again as it came.</source>
        <translation>Entfernt das Behaltene; was mitgeliefert ist, ist wieder, wie es kam.</translation>
    </message>
    <message>
        <source>Take from file</source>
        <translation>Aus Datei nehmen</translation>
    </message>
    <message>
        <source>Keeps a copy of a set from a file, and chooses it.</source>
        <translation>Behält eine Kopie aus einer Datei und wählt sie.</translation>
    </message>
    <message>
        <source>Write to file</source>
        <translation>In Datei schreiben</translation>
    </message>
    <message>
        <source>Writes the figures below, to send or to copy.</source>
        <translation>Schreibt die Werte unten, zum Schicken oder Kopieren.</translation>
    </message>
    <message>
        <source>Keep as</source>
        <translation>Behalten als</translation>
    </message>
    <message>
        <source>These are the figures of %1.</source>
        <translation>Das sind die Werte von %L1.</translation>
    </message>
    <message>
        <source>Not all of these are the figures of %1 as it is kept. Keep them, or reset them one by one.</source>
        <translation>Nicht alle sind die Werte von %L1, wie es behalten ist. Behalten Sie sie, oder setzen Sie sie einzeln zurück.</translation>
    </message>
</context>
<context>
    <name>trellis::SettingEditor</name>
    <message>
        <source>
%1 to %2 %3</source>
        <translation>
%L1 bis %L2 %L3</translation>
    </message>
    <message>
        <source>Back to the plate&apos;s</source>
        <translation>Zurück zu dem der Platte</translation>
    </message>
    <message>
        <source>Back to the usual</source>
        <translation>Zurück zum Üblichen</translation>
    </message>
</context>
<context>
    <name>trellis::SettingFinder</name>
    <message>
        <source>Find a setting by its words</source>
        <translation>Eine Einstellung nach ihren Worten suchen</translation>
    </message>
    <message>
        <source>No setting has these words.</source>
        <translation>Keine Einstellung hat diese Worte.</translation>
    </message>
    <message>
        <source>%1 more; add a word.</source>
        <translation>%L1 weitere; ein Wort dazu.</translation>
    </message>
    <message>
        <source>Everything is as usual with these three</source>
        <translation>Alles ist wie üblich mit diesen dreien</translation>
    </message>
    <message>
        <source>1 setting differs from my usual</source>
        <translation>1 Einstellung weicht von meinem Üblichen ab</translation>
    </message>
    <message>
        <source>%1 settings differ from my usual</source>
        <translation>%L1 Einstellungen weichen von meinem Üblichen ab</translation>
    </message>
    <message>
        <source>here %1, usually %2</source>
        <translation>hier %L1, sonst %L2</translation>
    </message>
</context>
<context>
    <name>trellis::SiteDelegate</name>
    <message>
        <source> %1 · %L2 mm²</source>
        <translation> %L1 · %L2 mm²</translation>
    </message>
    <message>
        <source>bridges %1 mm</source>
        <translation>überbrückt %L1 mm</translation>
    </message>
    <message>
        <source>span %1 mm</source>
        <translation>Spanne %L1 mm</translation>
    </message>
    <message>
        <source>%1–%2 mm · %3°</source>
        <translation>%L1–%L2 mm · %L3°</translation>
    </message>
    <message>
        <source>%1 · no support</source>
        <translation>%L1 · keine Stütze</translation>
    </message>
    <message>
        <source>%1 · %2 g · %3 min</source>
        <translation>%L1 · %L2 g · %L3 min</translation>
    </message>
    <message>
        <source> · …</source>
        <translation> · …</translation>
    </message>
</context>
<context>
    <name>trellis::SiteModel</name>
    <message>
        <source>site %1: %2 mm², %3 to %4 mm high, %5°</source>
        <translation>Stelle %L1: %L2 mm², %L3 bis %L4 mm hoch, %L5°</translation>
    </message>
</context>
<context>
    <name>trellis::StartCard</name>
    <message>
        <source>Drop a part here</source>
        <translation>Ein Teil hier fallen lassen</translation>
    </message>
    <message>
        <source>a mesh (STL, OBJ, PLY, OFF, 3MF, AMF), a project, or G-code to try</source>
        <translation>ein Netz (STL, OBJ, PLY, OFF, 3MF, AMF), ein Projekt, oder G-Code zum Probieren</translation>
    </message>
    <message>
        <source>Open a part…</source>
        <translation>Ein Teil öffnen…</translation>
    </message>
    <message>
        <source>Take the demo parts</source>
        <translation>Die Beispielteile nehmen</translation>
    </message>
    <message>
        <source>Try a filament: a ladder</source>
        <translation>Ein Filament probieren: eine Leiter</translation>
    </message>
</context>
<context>
    <name>trellis::Strip</name>
    <message>
        <source>The print stood upright: the areas of part and support at every height. Drag the handles to show some layers only; the wheel steps one layer, with Shift ten.</source>
        <translation>Der Druck aufrecht gestellt: die Flächen von Teil und Stützen in jeder Höhe. Die Griffe ziehen, um nur einige Schichten zu zeigen; das Rad geht eine Schicht weiter, mit Umschalt zehn.</translation>
    </message>
    <message>
        <source>Rose where it leans more than the free lean: the deeper, the nearer to a ceiling.</source>
        <translation>Rosa, wo es sich mehr neigt als die freie Neigung: je tiefer, desto näher an einer Decke.</translation>
    </message>
    <message>
        <source>A diamond where something begins in mid-air: hollow where support carries it, filled where it is bare. Click one to go there.</source>
        <translation>Eine Raute, wo etwas in der Luft beginnt: hohl, wo eine Stütze es trägt, voll, wo es bloß ist. Eine anklicken, um hinzugehen.</translation>
    </message>
    <message>
        <source>Amber on the left where support is enforced, teal on the right where it is blocked.</source>
        <translation>Bernstein links, wo Stützen erzwungen sind, Petrol rechts, wo sie gesperrt sind.</translation>
    </message>
    <message>
        <source>A small tip where support takes hold under the part.</source>
        <translation>Eine kleine Spitze, wo eine Stütze unter dem Teil ansetzt.</translation>
    </message>
    <message>
        <source>The dashed line is how far the print gives way to 1 N when it is so high; the green bar is where support holds it.</source>
        <translation>Die gestrichelte Linie ist, wie weit der Druck unter 1 N nachgibt, wenn er so hoch ist; der grüne Balken ist, wo Stützen ihn halten.</translation>
    </message>
    <message>
        <source>%1 mm: part %2 mm², support %3 mm²</source>
        <translation>%L1 mm: Teil %L2 mm², Stützen %L3 mm²</translation>
    </message>
    <message>
        <source>
worst lean %1°</source>
        <translation>
stärkste Neigung %L1°</translation>
    </message>
    <message>
        <source>
gives way by %1 mm to 1 N</source>
        <translation>
gibt unter 1 N um %L1 mm nach</translation>
    </message>
    <message>
        <source>
takes %1 s</source>
        <translation>
dauert %L1 s</translation>
    </message>
    <message>
        <source>
held by support</source>
        <translation>
von Stützen gehalten</translation>
    </message>
    <message>
        <source>
support takes hold here</source>
        <translation>
hier setzt eine Stütze an</translation>
    </message>
    <message>
        <source>
a floating start: click to go there</source>
        <translation>
ein Anfang in der Luft: anklicken, um hinzugehen</translation>
    </message>
    <message>
        <source>
%1 floating starts: click to go there</source>
        <translation>
%L1 Anfänge in der Luft: anklicken, um hinzugehen</translation>
    </message>
    <message>
        <source>mm</source>
        <translation>mm</translation>
    </message>
    <message>
        <source>area</source>
        <translation>Fläche</translation>
    </message>
    <message>
        <source>to %1 s a layer</source>
        <translation>bis %L1 s je Schicht</translation>
    </message>
    <message>
        <source>layer %1 · %2 mm</source>
        <translation>Schicht %L1 · %L2 mm</translation>
    </message>
</context>
<context>
    <name>trellis::StudySheet</name>
    <message>
        <source>Study</source>
        <translation>Ansehen</translation>
    </message>
    <message>
        <source>Free lean</source>
        <translation>Freie Neigung</translation>
    </message>
    <message>
        <source>What hangs</source>
        <translation>Was überhängt</translation>
    </message>
    <message>
        <source>by height</source>
        <translation>nach Höhe</translation>
    </message>
    <message>
        <source>by area</source>
        <translation>nach Fläche</translation>
    </message>
    <message>
        <source>by price</source>
        <translation>nach Preis</translation>
    </message>
    <message>
        <source>by lean</source>
        <translation>nach Neigung</translation>
    </message>
    <message>
        <source>all sites</source>
        <translation>alle Stellen</translation>
    </message>
    <message>
        <source>floating starts</source>
        <translation>Anfänge in der Luft</translation>
    </message>
    <message>
        <source>bridges</source>
        <translation>Brücken</translation>
    </message>
    <message>
        <source>tiny, under 2 mm²</source>
        <translation>winzig, unter 2 mm²</translation>
    </message>
    <message>
        <source>high up, over 30 mm</source>
        <translation>hoch oben, über 30 mm</translation>
    </message>
    <message>
        <source>expensive</source>
        <translation>teuer</translation>
    </message>
    <message>
        <source>Smaller than a line is wide, or sagging onto what is right below: they print without support. Opens the list of them.</source>
        <translation>Kleiner, als eine Linie breit ist, oder gleich auf das Darunter gesackt: Sie drucken ohne Stütze. Öffnet ihre Liste.</translation>
    </message>
    <message>
        <source>As proposed</source>
        <translation>Wie vorgeschlagen</translation>
    </message>
    <message>
        <source>Enforce</source>
        <translation>Erzwingen</translation>
    </message>
    <message>
        <source>Block</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>For every site that is selected in the list.</source>
        <translation>Für jede Stelle, die in der Liste gewählt ist.</translation>
    </message>
    <message>
        <source>Support of the selected sites</source>
        <translation>Stützen der gewählten Stellen</translation>
    </message>
    <message>
        <source>Tree suits site %1: %2.</source>
        <translation>Baum passt zu Stelle %L1: %L2.</translation>
    </message>
    <message>
        <source>Normal suits site %1: %2.</source>
        <translation>Gerade passt zu Stelle %L1: %L2.</translation>
    </message>
    <message>
        <source>Nothing hangs at this lean.</source>
        <translation>Bei dieser Neigung hängt nichts über.</translation>
    </message>
    <message>
        <source>%L1 mm² hang in %2 sites. Bridging by themselves: %3.</source>
        <translation>%L1 mm² hängen an %L2 Stellen über. Von selbst überbrückt: %L3.</translation>
    </message>
    <message>
        <source>%1 too small to matter, %2 mm² together</source>
        <translation>%L1 zu klein, um zu zählen, zusammen %L2 mm²</translation>
    </message>
    <message>
        <source>Nothing begins in mid-air.</source>
        <translation>Nichts beginnt in der Luft.</translation>
    </message>
    <message>
        <source>◆ %1 floating starts, the lowest at %2 mm.</source>
        <translation>◆ %L1 Anfänge in der Luft, der tiefste bei %L2 mm.</translation>
    </message>
</context>
<context>
    <name>trellis::SweepPage</name>
    <message>
        <source>Say what may vary and what you want. Every combination is built while you go on working.</source>
        <translation>Sagen Sie, was sich ändern darf und was Sie wollen. Jede Verbindung wird gebaut, während Sie weiterarbeiten.</translation>
    </message>
    <message>
        <source>Keep it as a variant</source>
        <translation>Als Variante behalten</translation>
    </message>
    <message>
        <source>nothing more</source>
        <translation>nichts mehr</translation>
    </message>
    <message>
        <source>turning, of those found in Place</source>
        <translation>Drehung, von den in Aufstellen gefundenen</translation>
    </message>
    <message>
        <source>values, with commas</source>
        <translation>Werte, mit Komma</translation>
    </message>
    <message>
        <source>Least</source>
        <translation>Am wenigsten</translation>
    </message>
    <message>
        <source>and</source>
        <translation>und</translation>
    </message>
    <message>
        <source>nothing trapped</source>
        <translation>nichts gefangen</translation>
    </message>
    <message>
        <source>no problems found</source>
        <translation>keine Mängel gefunden</translation>
    </message>
    <message>
        <source>1 combination</source>
        <translation>1 Verbindung</translation>
    </message>
    <message>
        <source>%1 combinations</source>
        <translation>%L1 Verbindungen</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>Build them all</source>
        <translation>Alle bauen</translation>
    </message>
    <message>
        <source>%1 of %2 built</source>
        <translation>%L1 von %L2 gebaut</translation>
    </message>
    <message>
        <source>Best so far: %1</source>
        <translation>Bisher am besten: %L1</translation>
    </message>
    <message>
        <source>turning</source>
        <translation>Drehung</translation>
    </message>
    <message>
        <source> · %1 %2 %3</source>
        <translation> · %L1 %L2 %L3</translation>
    </message>
    <message>
        <source>a combination</source>
        <translation>eine Verbindung</translation>
    </message>
    <message>
        <source> · %1 would trap support, and no lines were laid for them</source>
        <translation> · in %L1 blieben Stützen gefangen, für sie wurden keine Linien gelegt</translation>
    </message>
</context>
<context>
    <name>trellis::SweepPlot</name>
    <message>
        <source>Combinations by two figures</source>
        <translation>Verbindungen nach zwei Zahlen</translation>
    </message>
    <message>
        <source>Each dot is one combination; those joined are beaten by none. Click one to look at it, click it again to keep it as a variant. The arrow keys go from one to the next, Enter keeps.</source>
        <translation>Jeder Punkt ist eine Verbindung; die verbundenen werden von keiner übertroffen. Einen anklicken, um ihn anzusehen, noch einmal, um ihn als Variante zu behalten. Die Pfeiltasten gehen von einem zum nächsten, Eingabe behält.</translation>
    </message>
</context>
<context>
    <name>trellis::TallyBar</name>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Stop building. What was built last stays in view; the next change builds again.</source>
        <translation>Das Bauen anhalten. Das zuletzt Gebaute bleibt zu sehen; die nächste Änderung baut wieder.</translation>
    </message>
    <message>
        <source>Pin</source>
        <translation>Merken</translation>
    </message>
    <message>
        <source>Keep what is there as a variant and show the difference from it from now on. Key J. Again to let go of it.</source>
        <translation>Behält, was da ist, als Variante und zeigt von nun an den Unterschied dazu. Taste J. Noch einmal, um es loszulassen.</translation>
    </message>
    <message>
        <source>Open or close the breakdown by use.</source>
        <translation>Die Aufschlüsselung nach Verwendung öffnen oder schließen.</translation>
    </message>
    <message>
        <source>What the program noticed, with remedies: in Check.</source>
        <translation>Was dem Programm auffiel, mit Abhilfen: in Prüfen.</translation>
    </message>
    <message>
        <source>pin</source>
        <translation>merken</translation>
    </message>
    <message>
        <source>Let go of pin</source>
        <translation>Gemerktes loslassen</translation>
    </message>
    <message>
        <source>Nothing to print yet</source>
        <translation>Noch nichts zu drucken</translation>
    </message>
    <message>
        <source>%1 g = part %2 + support %3 + interface %4</source>
        <translation>%L1 g = Teil %L2 + Stützen %L3 + Trennlage %L4</translation>
    </message>
    <message>
        <source>%1 g = %2 + %3 + %4</source>
        <translation>%L1 g = %L2 + %L3 + %L4</translation>
    </message>
    <message>
        <source>%1 g</source>
        <translation>%L1 g</translation>
    </message>
    <message>
        <source>part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source> + rest %1</source>
        <translation> + Rest %L1</translation>
    </message>
    <message>
        <source> + %1</source>
        <translation> + %L1</translation>
    </message>
    <message>
        <source> · %1 to take it off</source>
        <translation> · %L1 zum Abnehmen</translation>
    </message>
    <message>
        <source>filament for %1 %2</source>
        <translation>Filament für %L1 %L2</translation>
    </message>
    <message>
        <source>%1 g since pin</source>
        <translation>%L1 g seit dem Merken</translation>
    </message>
    <message>
        <source>%1 g of it support</source>
        <translation>%L1 g davon Stützen</translation>
    </message>
    <message>
        <source>What the filament costs, and about how long a hand is busy with taking the support off.</source>
        <translation>Was das Filament kostet, und wie lange etwa eine Hand damit beschäftigt ist, die Stützen abzunehmen.</translation>
    </message>
    <message>
        <source> By your own notes, %1 times as long as is usual.</source>
        <translation> Nach Ihren Notizen %L1-mal so lang wie üblich.</translation>
    </message>
    <message>
        <source>no findings</source>
        <translation>keine Befunde</translation>
    </message>
    <message>
        <source>1 finding</source>
        <translation>1 Befund</translation>
    </message>
    <message>
        <source>%1 findings</source>
        <translation>%L1 Befunde</translation>
    </message>
    <message>
        <source>How long the print takes.</source>
        <translation>Wie lange der Druck dauert.</translation>
    </message>
    <message>
        <source>By your last %1 prints %2, give or take %3.</source>
        <translation>Nach Ihren letzten %L1 Drucken %L2, mehr oder weniger %L3.</translation>
    </message>
    <message>
        <source>travel</source>
        <translation>Wege</translation>
    </message>
    <message>
        <source>heating</source>
        <translation>Heizen</translation>
    </message>
    <message>
        <source>%1 tool changes</source>
        <translation>%L1 Werkzeugwechsel</translation>
    </message>
    <message>
        <source>stopped</source>
        <translation>angehalten</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Bauen</translation>
    </message>
    <message>
        <source>Go on with what was stopped.</source>
        <translation>Mit dem weitermachen, was angehalten wurde.</translation>
    </message>
    <message>
        <source>Not built yet</source>
        <translation>Noch nicht gebaut</translation>
    </message>
</context>
<context>
    <name>trellis::TintEditor</name>
    <message>
        <source>Tint</source>
        <translation>Ton</translation>
    </message>
    <message>
        <source>Enforcers bear a number. Those of one number have support settings of their own, below. Keys comma and full stop.</source>
        <translation>Erzwingendes trägt eine Zahl. Das einer Zahl hat eigene Stützeinstellungen, unten. Tasten Komma und Punkt.</translation>
    </message>
    <message>
        <source>0, plain</source>
        <translation>0, einfach</translation>
    </message>
    <message>
        <source>  ·  %1 mm²</source>
        <translation>  ·  %L1 mm²</translation>
    </message>
    <message>
        <source>  ·  %1 of its own</source>
        <translation>  ·  %L1 für sich</translation>
    </message>
</context>
<context>
    <name>trellis::TradePicture</name>
    <message>
        <source>Gap above against removal and underside</source>
        <translation>Abstand oben gegen Abnahme und Unterseite</translation>
    </message>
    <message>
        <source>How hard 100 mm² of flat contact are to part, and how far the first layer over them hangs through, for every gap above. Drag the dot, or use the arrow keys. Usual figures, not measured on yours.</source>
        <translation>Wie schwer sich 100 mm² flacher Berührung lösen, und wie weit die erste Schicht darüber durchhängt, für jeden Abstand oben. Den Punkt ziehen, oder die Pfeiltasten nehmen. Übliche Werte, nicht an Ihren gemessen.</translation>
    </message>
    <message>
        <source>— %1 N to part 100 mm²</source>
        <translation>— %L1 N, um 100 mm² zu lösen</translation>
    </message>
    <message>
        <source>-- sags %1 mm</source>
        <translation>-- hängt %L1 mm durch</translation>
    </message>
    <message>
        <source>0</source>
        <translation>0</translation>
    </message>
    <message>
        <source>gap above, %1 mm</source>
        <translation>Abstand oben, %L1 mm</translation>
    </message>
    <message>
        <source>a gap of %1 mm: %2 underneath</source>
        <translation>ein Abstand von %L1 mm: unten %L2</translation>
    </message>
</context>
<context>
    <name>trellis::TurningStrip</name>
    <message>
        <source>Look for turnings</source>
        <translation>Drehungen suchen</translation>
    </message>
    <message>
        <source>Ways to put the selected part on the plate, with what each would cost in support. A first set comes at once, a better one soon after.</source>
        <translation>Wege, das gewählte Teil auf die Platte zu stellen, mit dem, was jeder an Stützen kostete. Ein erster Satz kommt gleich, ein besserer bald danach.</translation>
    </message>
    <message>
        <source>Under each picture is about how much support it needs. Click one to try it, click it again to keep it.</source>
        <translation>Unter jedem Bild steht etwa, wie viel Stützen es braucht. Eines anklicken, um es zu probieren, noch einmal, um es zu behalten.</translation>
    </message>
    <message>
        <source>best first</source>
        <translation>Bestes zuerst</translation>
    </message>
    <message>
        <source>least support</source>
        <translation>wenigste Stützen</translation>
    </message>
    <message>
        <source>least hanging</source>
        <translation>wenigstes Überhängendes</translation>
    </message>
    <message>
        <source>least scarred</source>
        <translation>wenigste Narben</translation>
    </message>
    <message>
        <source>least where it is seen</source>
        <translation>wenigste, wo es gesehen wird</translation>
    </message>
    <message>
        <source>most on the plate</source>
        <translation>meiste auf der Platte</translation>
    </message>
    <message>
        <source>lowest</source>
        <translation>niedrigste</translation>
    </message>
    <message>
        <source>least stepping</source>
        <translation>wenigste Stufen</translation>
    </message>
    <message>
        <source>least thin and leaning</source>
        <translation>wenigstes Dünnes und Geneigtes</translation>
    </message>
    <message>
        <source>steadiest</source>
        <translation>standfesteste</translation>
    </message>
</context>
<context>
    <name>trellis::VariantPage</name>
    <message>
        <source>A variant is another way to print the same parts. A new one begins as a copy; then change what you like: marks, settings, turnings.</source>
        <translation>Eine Variante ist ein anderer Weg, dieselben Teile zu drucken. Eine neue beginnt als Kopie; dann ändern Sie, was Sie mögen: Marken, Einstellungen, Drehungen.</translation>
    </message>
    <message>
        <source>New variant</source>
        <translation>Neue Variante</translation>
    </message>
    <message>
        <source>A copy of what is there, to go on with. What was there stays beside it. Ctrl+Shift+N.</source>
        <translation>Eine Kopie dessen, was da ist, um damit weiterzumachen. Was da war, bleibt daneben. Strg+Umschalt+N.</translation>
    </message>
    <message>
        <source>Pin</source>
        <translation>Merken</translation>
    </message>
    <message>
        <source>Keep what is there now as a variant, and go on. J.</source>
        <translation>Behält, was jetzt da ist, als Variante, und weiter. J.</translation>
    </message>
    <message>
        <source>What the others are measured against.</source>
        <translation>Woran die anderen gemessen werden.</translation>
    </message>
    <message>
        <source>Figures of the variants</source>
        <translation>Zahlen der Varianten</translation>
    </message>
    <message>
        <source>The name of the chosen variant.</source>
        <translation>Der Name der gewählten Variante.</translation>
    </message>
    <message>
        <source>Take in hand</source>
        <translation>In die Hand nehmen</translation>
    </message>
    <message>
        <source>Go on with the chosen variant. What is in hand now stays beside.</source>
        <translation>Mit der gewählten Variante weitermachen. Was jetzt in der Hand ist, bleibt daneben.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>Remove the chosen variant. Undo brings it back.</source>
        <translation>Die gewählte Variante entfernen. Rückgängig bringt sie zurück.</translation>
    </message>
    <message>
        <source>the one in hand alone</source>
        <translation>nur die in der Hand</translation>
    </message>
    <message>
        <source>with the other&apos;s outlines</source>
        <translation>mit den Umrissen der anderen</translation>
    </message>
    <message>
        <source>both side by side</source>
        <translation>beide nebeneinander</translation>
    </message>
    <message>
        <source>wiped by a line</source>
        <translation>mit einer Linie getrennt</translation>
    </message>
    <message>
        <source>How the scene shows the chosen variant, or the base where the one in hand is chosen.</source>
        <translation>Wie das Bild die gewählte Variante zeigt, oder die Vergleichsgrundlage, wo die in der Hand gewählt ist.</translation>
    </message>
    <message>
        <source>Base</source>
        <translation>Grundlage</translation>
    </message>
    <message>
        <source>Scene</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>support at</source>
        <translation>Stütze bei</translation>
    </message>
    <message>
        <source>base g</source>
        <translation>Grundlage g</translation>
    </message>
    <message>
        <source>chosen g</source>
        <translation>gewählte g</translation>
    </message>
    <message>
        <source>Where support was gained or lost. A click goes there.</source>
        <translation>Wo Stützen dazukamen oder wegfielen. Ein Klick führt hin.</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Decide here what the chosen variant decided.</source>
        <translation>Hier entscheiden, was die gewählte Variante entschied.</translation>
    </message>
    <message>
        <source>variant</source>
        <translation>Variante</translation>
    </message>
    <message>
        <source>pin</source>
        <translation>merken</translation>
    </message>
    <message>
        <source>this one</source>
        <translation>diese</translation>
    </message>
    <message>
        <source>%1%2 %3 against %4</source>
        <translation>%L1%L2 %L3 gegen %L4</translation>
    </message>
    <message>
        <source>This is the base: choose another column to see what it does otherwise.</source>
        <translation>Das ist die Grundlage: Eine andere Spalte wählen, um zu sehen, was sie anders macht.</translation>
    </message>
    <message>
        <source>It decides the same as %1.</source>
        <translation>Sie entscheidet dasselbe wie %L1.</translation>
    </message>
    <message>
        <source>everything</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>all of %1</source>
        <translation>alles von %L1</translation>
    </message>
</context>
<context>
    <name>trellis::Worksheet</name>
    <message>
        <source>The manual on this worksheet; F1 opens it on what is under the pointer.</source>
        <translation>Das Handbuch zu diesem Arbeitsblatt; F1 öffnet es zu dem, was unter dem Zeiger ist.</translation>
    </message>
    <message>
        <source>Manual</source>
        <translation>Handbuch</translation>
    </message>
</context>
</TS>
