<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
<context>
    <name>core</name>
<message>
    <source>Print</source>
    <translation>Druck</translation>
</message>
<message>
    <source>Layer height</source>
    <translation>Schichthöhe</translation>
</message>
<message>
    <source>First layer</source>
    <translation>Erste Schicht</translation>
</message>
<message>
    <source>Line width</source>
    <translation>Linienbreite</translation>
</message>
<message>
    <source>First layer's line width</source>
    <translation>Linienbreite der ersten Schicht</translation>
</message>
<message>
    <source>Walls</source>
    <translation>Wände</translation>
</message>
<message>
    <source>Top cover</source>
    <translation>Decke oben</translation>
</message>
<message>
    <source>Bottom cover</source>
    <translation>Decke unten</translation>
</message>
<message>
    <source>Infill</source>
    <translation>Füllung</translation>
</message>
<message>
    <source>Skirt loops</source>
    <translation>Vorlinien</translation>
</message>
<message>
    <source>Brim</source>
    <translation>Rand</translation>
</message>
<message>
    <source>Brim gap</source>
    <translation>Abstand des Rands</translation>
</message>
<message>
    <source>Brim on</source>
    <translation>Rand an</translation>
</message>
<message>
    <source>Skirt distance</source>
    <translation>Abstand der Vorlinie</translation>
</message>
<message>
    <source>Raise the code</source>
    <translation>Kürzel erhaben drucken</translation>
</message>
<message>
    <source>Supports</source>
    <translation>Stützen</translation>
</message>
<message>
    <source>Support under</source>
    <translation>Stützen unter</translation>
</message>
<message>
    <source>May stand on</source>
    <translation>Darf stehen auf</translation>
</message>
<message>
    <source>Free lean</source>
    <translation>Freie Neigung</translation>
</message>
<message>
    <source>Bridge limit</source>
    <translation>Brückengrenze</translation>
</message>
<message>
    <source>Gap above</source>
    <translation>Abstand oben</translation>
</message>
<message>
    <source>Gap below</source>
    <translation>Abstand unten</translation>
</message>
<message>
    <source>Gap beside</source>
    <translation>Abstand daneben</translation>
</message>
<message>
    <source>Slope gap</source>
    <translation>Abstand an Schrägen</translation>
</message>
<message>
    <source>Hold gap</source>
    <translation>Abstand der Halte</translation>
</message>
<message>
    <source>Tie spacing</source>
    <translation>Abstand der Anker</translation>
</message>
<message>
    <source>Structure</source>
    <translation>Bauart</translation>
</message>
<message>
    <source>Tip spacing</source>
    <translation>Abstand der Spitzen</translation>
</message>
<message>
    <source>Tip width</source>
    <translation>Breite der Spitzen</translation>
</message>
<message>
    <source>Branch lean</source>
    <translation>Neigung der Äste</translation>
</message>
<message>
    <source>Trunk width</source>
    <translation>Stammbreite</translation>
</message>
<message>
    <source>Branch walls</source>
    <translation>Wände der Äste</translation>
</message>
<message>
    <source>Inner spacing</source>
    <translation>Abstand innen</translation>
</message>
<message>
    <source>Branch foot</source>
    <translation>Fuß der Äste</translation>
</message>
<message>
    <source>Foot height</source>
    <translation>Höhe des Fußes</translation>
</message>
<message>
    <source>Outline</source>
    <translation>Umriss</translation>
</message>
<message>
    <source>Column size</source>
    <translation>Säulengröße</translation>
</message>
<message>
    <source>Interface layers</source>
    <translation>Trennschichten</translation>
</message>
<message>
    <source>Interface spacing</source>
    <translation>Abstand der Trennlage</translation>
</message>
<message>
    <source>Upper lines</source>
    <translation>Linien oben</translation>
</message>
<message>
    <source>Lower interface</source>
    <translation>Untere Trennlage</translation>
</message>
<message>
    <source>Lower spacing</source>
    <translation>Abstand unten</translation>
</message>
<message>
    <source>Lower lines</source>
    <translation>Linien unten</translation>
</message>
<message>
    <source>Body lines</source>
    <translation>Linien des Körpers</translation>
</message>
<message>
    <source>Graded layers</source>
    <translation>Abgestufte Schichten</translation>
</message>
<message>
    <source>Graded density</source>
    <translation>Abgestufte Dichte</translation>
</message>
<message>
    <source>Foot layers</source>
    <translation>Fußschichten</translation>
</message>
<message>
    <source>Foot spread</source>
    <translation>Ausladung des Fußes</translation>
</message>
<message>
    <source>Interface filament</source>
    <translation>Filament der Trennlage</translation>
</message>
<message>
    <source>Body filament</source>
    <translation>Filament des Körpers</translation>
</message>
<message>
    <source>Raft layers</source>
    <translation>Floßschichten</translation>
</message>
<message>
    <source>Raft reach</source>
    <translation>Überstand des Floßes</translation>
</message>
<message>
    <source>Raft gap</source>
    <translation>Abstand des Floßes</translation>
</message>
<message>
    <source>Body spacing</source>
    <translation>Abstand im Körper</translation>
</message>
<message>
    <source>Body walls</source>
    <translation>Wände des Körpers</translation>
</message>
<message>
    <source>Least speed</source>
    <translation>Geringstes Tempo</translation>
</message>
<message>
    <source>Travel speed</source>
    <translation>Fahrtempo</translation>
</message>
<message>
    <source>Machine</source>
    <translation>Maschine</translation>
</message>
<message>
    <source>Part fan</source>
    <translation>Teillüfter</translation>
</message>
<message>
    <source>Plate width</source>
    <translation>Plattenbreite</translation>
</message>
<message>
    <source>Plate depth</source>
    <translation>Plattentiefe</translation>
</message>
<message>
    <source>Height</source>
    <translation>Höhe</translation>
</message>
<message>
    <source>Nozzle</source>
    <translation>Düse</translation>
</message>
<message>
    <source>Acceleration</source>
    <translation>Beschleunigung</translation>
</message>
<message>
    <source>Corner deviation</source>
    <translation>Abweichung an Ecken</translation>
</message>
<message>
    <source>Retraction</source>
    <translation>Rückzug</translation>
</message>
<message>
    <source>Retraction speed</source>
    <translation>Tempo des Rückzugs</translation>
</message>
<message>
    <source>Retract over</source>
    <translation>Rückzug ab</translation>
</message>
<message>
    <source>Retraction acceleration</source>
    <translation>Beschleunigung des Rückzugs</translation>
</message>
<message>
    <source>Lift</source>
    <translation>Anhub</translation>
</message>
<message>
    <source>Speed up and down</source>
    <translation>Tempo auf und ab</translation>
</message>
<message>
    <source>Heating takes</source>
    <translation>Heizen dauert</translation>
</message>
<message>
    <source>Start G-code</source>
    <translation>G-Code am Anfang</translation>
</message>
<message>
    <source>End G-code</source>
    <translation>G-Code am Ende</translation>
</message>
<message>
    <source>Tool change</source>
    <translation>Werkzeugwechsel</translation>
</message>
<message>
    <source>Tool change takes</source>
    <translation>Werkzeugwechsel dauert</translation>
</message>
<message>
    <source>Purge</source>
    <translation>Spülen</translation>
</message>
<message>
    <source>Filament</source>
    <translation>Filament</translation>
</message>
<message>
    <source>Diameter</source>
    <translation>Durchmesser</translation>
</message>
<message>
    <source>Filament density</source>
    <translation>Dichte des Filaments</translation>
</message>
<message>
    <source>Price</source>
    <translation>Preis</translation>
</message>
<message>
    <source>Most volume</source>
    <translation>Größtes Volumen</translation>
</message>
<message>
    <source>Least layer time</source>
    <translation>Geringste Schichtzeit</translation>
</message>
<message>
    <source>Fan, least</source>
    <translation>Lüfter, mindestens</translation>
</message>
<message>
    <source>Fan, most</source>
    <translation>Lüfter, höchstens</translation>
</message>
<message>
    <source>Fan on the first layer</source>
    <translation>Lüfter in der ersten Schicht</translation>
</message>
<message>
    <source>Time correction</source>
    <translation>Zeitberichtigung</translation>
</message>
<message>
    <source>Stiffness</source>
    <translation>Steifigkeit</translation>
</message>
<message>
    <source>Hold on the plate</source>
    <translation>Halt auf der Platte</translation>
</message>
<message>
    <source>Nozzle heat</source>
    <translation>Düsenwärme</translation>
</message>
<message>
    <source>Plate heat</source>
    <translation>Plattenwärme</translation>
</message>
<message>
    <source>Second filament</source>
    <translation>Zweites Filament</translation>
</message>
<message>
    <source>Water takes it away</source>
    <translation>Löst sich in Wasser</translation>
</message>
<message>
    <source>Second: density</source>
    <translation>Zweites: Dichte</translation>
</message>
<message>
    <source>Second: price</source>
    <translation>Zweites: Preis</translation>
</message>
<message>
    <source>Second: nozzle heat</source>
    <translation>Zweites: Düsenwärme</translation>
</message>
<message>
    <source>Second: most volume</source>
    <translation>Zweites: größtes Volumen</translation>
</message>
<message>
    <source>Second: top speed</source>
    <translation>Zweites: höchstes Tempo</translation>
</message>
<message>
    <source>Its name, for the G-code's head.</source>
    <translation>Der Name, für den Kopf des G-Codes.</translation>
</message>
<message>
    <source>Thickness of a layer. Thinner shows finer slopes and takes longer.</source>
    <translation>Dicke einer Schicht. Dünnere zeigen feinere Schrägen und dauern länger.</translation>
</message>
<message>
    <source>Thickness of the layer on the plate. Thicker forgives an uneven plate.</source>
    <translation>Dicke der Schicht auf der Platte. Eine dickere verzeiht eine unebene Platte.</translation>
</message>
<message>
    <source>Width of a printed line, a little over the nozzle's. Wider is stronger and coarser.</source>
    <translation>Breite einer gedruckten Linie, etwas mehr als die der Düse. Breiter ist fester und gröber.</translation>
</message>
<message>
    <source>Width of the lines on the plate; 0 is as all others. Wider ones hold better.</source>
    <translation>Breite der Linien auf der Platte; 0 ist wie alle anderen. Breitere halten besser.</translation>
</message>
<message>
    <source>Lines around every outline. More are stronger and slower.</source>
    <translation>Linien um jeden Umriss. Mehr sind fester und langsamer.</translation>
</message>
<message>
    <source>Solid layers under every upper surface.</source>
    <translation>Volle Schichten unter jeder Oberseite.</translation>
</message>
<message>
    <source>Solid layers over every lower surface.</source>
    <translation>Volle Schichten über jeder Unterseite.</translation>
</message>
<message>
    <source>How much of the inside is filled. More is stiffer; less curls less.</source>
    <translation>Wie viel vom Inneren gefüllt ist. Mehr ist steifer; weniger rollt sich weniger.</translation>
</message>
<message>
    <source>Lines drawn round everything first, to prime the nozzle.</source>
    <translation>Linien, zuerst um alles gezogen, damit die Düse fließt.</translation>
</message>
<message>
    <source>Lines on the plate around the part that hold its rim down. Wider holds better and has to be cut off.</source>
    <translation>Linien auf der Platte um das Teil, die seinen Rand niederhalten. Breiter hält besser und muss abgeschnitten werden.</translation>
</message>
<message>
    <source>Daylight between brim and part. 0 holds firmest; a tenth tears off by hand.</source>
    <translation>Luft zwischen Rand und Teil. 0 hält am festesten; ein Zehntel reißt von Hand ab.</translation>
</message>
<message>
    <source>Around the outlines, in their holes, or both.</source>
    <translation>Um die Umrisse, in ihren Löchern, oder beides.</translation>
</message>
<message>
    <source>Daylight between the skirt and the print.</source>
    <translation>Luft zwischen Vorlinie und Druck.</translation>
</message>
<message>
    <source>The version's six letters stand out of a plaque on the skirt or raft, to know the print by.</source>
    <translation>Die sechs Buchstaben der Fassung stehen aus einem Schild an Vorlinie oder Floß hervor, damit der Druck zu erkennen ist.</translation>
</message>
<message>
    <source>Whether any support is built. Marks are kept while it is off.</source>
    <translation>Ob überhaupt Stützen gebaut werden. Marken bleiben, solange es aus ist.</translation>
</message>
<message>
    <source>What asks for support: everything that leans too far and your decisions; only what begins in mid-air and your decisions; or your decisions alone.</source>
    <translation>Was Stützen verlangt: alles, was sich zu weit neigt, und Ihre Entscheidungen; nur was in der Luft beginnt, und Ihre Entscheidungen; oder allein Ihre Entscheidungen.</translation>
</message>
<message>
    <source>What support may stand on: the plate only, which leaves no scars on upper surfaces, or plate and part.</source>
    <translation>Worauf Stützen stehen dürfen: nur auf der Platte, was oben keine Narben lässt, oder auf Platte und Teil.</translation>
</message>
<message>
    <source>The greatest lean from vertical that prints without help. Higher asks for less support and trusts the machine more.</source>
    <translation>Die größte Neigung von der Senkrechten, die ohne Hilfe druckt. Mehr verlangt weniger Stützen und traut der Maschine mehr zu.</translation>
</message>
<message>
    <source>The longest span between two walls that prints without help. Longer trusts the fan more; 0 supports every bridge.</source>
    <translation>Die längste Spanne zwischen zwei Wänden, die ohne Hilfe druckt. Länger traut dem Lüfter mehr zu; 0 stützt jede Brücke.</translation>
</message>
<message>
    <source>Daylight between the support and the part over it, kept exactly. Wider comes off more easily and leaves a rougher underside; about one layer is usual.</source>
    <translation>Luft zwischen Stütze und Teil darüber, genau eingehalten. Weiter geht leichter ab und lässt eine rauere Unterseite; etwa eine Schicht ist üblich.</translation>
</message>
<message>
    <source>Daylight between a support and the part it stands on. Wider leaves a fainter scar and a weaker foot.</source>
    <translation>Luft zwischen einer Stütze und dem Teil, auf dem sie steht. Weiter lässt eine schwächere Narbe und einen schwächeren Fuß.</translation>
</message>
<message>
    <source>Daylight between a support and every wall it passes. Narrower reaches farther into corners and may stick.</source>
    <translation>Luft zwischen einer Stütze und jeder Wand, an der sie vorbeigeht. Enger reicht weiter in Ecken und kann kleben.</translation>
</message>
<message>
    <source>Daylight between a support and the wall beside it in the same layer, where that wall leans out over it. Less may fuse the two; 0 suits an interface that dissolves.</source>
    <translation>Luft zwischen einer Stütze und der Wand daneben in derselben Schicht, wo diese Wand darüber hinausragt. Weniger kann beide verschmelzen; 0 passt zu einer Trennlage, die sich löst.</translation>
</message>
<message>
    <source>Daylight between a wall and the column that steadies it, over the height you marked. 0 touches.</source>
    <translation>Luft zwischen einer Wand und der Säule, die sie hält, über die markierte Höhe. 0 berührt.</translation>
</message>
<message>
    <source>Height from one tie to the next: single lines that reach from a hold to the wall. Closer holds firmer and leaves more scars.</source>
    <translation>Höhe von einem Anker zum nächsten: einzelne Linien von einem Halt zur Wand. Enger hält fester und lässt mehr Narben.</translation>
</message>
<message>
    <source>Normal stands straight under what hangs, for broad flat undersides; a tree touches in small tips on branches that reach around the part, for small, curved and high ones.</source>
    <translation>Gerade steht unter dem Überhang, für breite flache Unterseiten; ein Baum berührt mit kleinen Spitzen an Ästen, die um das Teil greifen, für kleine, runde und hohe.</translation>
</message>
<message>
    <source>The longest stretch between tips that has to bridge. About 2 mm is safe; wider touches less and sags more.</source>
    <translation>Die längste Strecke zwischen Spitzen, die zu überbrücken ist. Etwa 2 mm ist sicher; weiter berührt weniger und hängt mehr durch.</translation>
</message>
<message>
    <source>How wide a tip is where it touches. Wider carries more and leaves a larger scar.</source>
    <translation>Wie breit eine Spitze ist, wo sie berührt. Breiter trägt mehr und lässt eine größere Narbe.</translation>
</message>
<message>
    <source>The most a branch leans from vertical. More reaches farther around the part and merges sooner; less prints more surely.</source>
    <translation>Wie weit sich ein Ast höchstens von der Senkrechten neigt. Mehr greift weiter um das Teil und vereint sich früher; weniger druckt sicherer.</translation>
</message>
<message>
    <source>How thick a branch is where it stands; 0 follows from its height and what it carries. Thicker stands firmer.</source>
    <translation>Wie dick ein Ast ist, wo er steht; 0 folgt aus Höhe und Last. Dicker steht fester.</translation>
</message>
<message>
    <source>Lines around a branch. Two stiffen long ones.</source>
    <translation>Linien um einen Ast. Zwei versteifen lange.</translation>
</message>
<message>
    <source>Daylight between lines inside a branch, which stiffen it; 0 leaves it hollow.</source>
    <translation>Luft zwischen Linien in einem Ast, die ihn versteifen; 0 lässt ihn hohl.</translation>
</message>
<message>
    <source>How wide a branch is on the plate; 0 is twice the trunk.</source>
    <translation>Wie breit ein Ast auf der Platte ist; 0 ist der doppelte Stamm.</translation>
</message>
<message>
    <source>From what height a branch spreads to its foot; 0 builds no foot.</source>
    <translation>Von welcher Höhe an ein Ast zum Fuß ausladet; 0 baut keinen Fuß.</translation>
</message>
<message>
    <source>Close follows the shadow of what hangs; squared builds square columns, which are sturdier and reach past it.</source>
    <translation>Eng folgt dem Schatten des Überhangs; quadratisch baut quadratische Säulen, die stämmiger sind und darüber hinausreichen.</translation>
</message>
<message>
    <source>Of squared outlines. About 1 mm reaches into crevices, 2 to 4 mm is usual, more is for bulk.</source>
    <translation>Bei quadratischem Umriss. Etwa 1 mm reicht in Spalten, 2 bis 4 mm sind üblich, mehr für große Massen.</translation>
</message>
<message>
    <source>Denser layers right under the part. Two or three give an even face; none saves a little filament.</source>
    <translation>Dichtere Schichten gleich unter dem Teil. Zwei oder drei geben eine ebene Fläche; keine spart etwas Filament.</translation>
</message>
<message>
    <source>Daylight between the interface's lines; 0 is solid. Wider comes off more easily, and shows what is left to scrape off; narrower carries a smoother face.</source>
    <translation>Luft zwischen den Linien der Trennlage; 0 ist voll. Weiter geht leichter ab und zeigt, was noch abzukratzen ist; enger trägt eine glattere Fläche.</translation>
</message>
<message>
    <source>Lines peel off along one direction; crossed lines are firmer and carry fine detail; concentric follows the outline.</source>
    <translation>Linien schälen sich in einer Richtung ab; gekreuzte sind fester und tragen Feines; konzentrisch folgt dem Umriss.</translation>
</message>
<message>
    <source>Denser layers where a support stands on the part: an even seat that comes off in one, for a little filament.</source>
    <translation>Dichtere Schichten, wo eine Stütze auf dem Teil steht: ein ebener Sitz, der in einem abgeht, für etwas Filament.</translation>
</message>
<message>
    <source>Daylight between the lower interface's lines. Usually wider than above.</source>
    <translation>Luft zwischen den Linien der unteren Trennlage. Meist weiter als oben.</translation>
</message>
<message>
    <source>As for the interface under the part.</source>
    <translation>Wie bei der Trennlage unter dem Teil.</translation>
</message>
<message>
    <source>Lines run one way; crossed lines carry fine detail; a zigzag folds on wherever it can and pulls out as a ribbon; concentric follows the outline.</source>
    <translation>Linien laufen in einer Richtung; gekreuzte tragen Feines; ein Zickzack faltet sich weiter, wo es kann, und zieht sich als Band heraus; konzentrisch folgt dem Umriss.</translation>
</message>
<message>
    <source>Layers of in-between density under the interface, so that it does not sag over a sparse body.</source>
    <translation>Schichten mittlerer Dichte unter der Trennlage, damit sie über einem lockeren Körper nicht durchhängt.</translation>
</message>
<message>
    <source>How full the graded layers are. About two thirds is usual.</source>
    <translation>Wie voll die abgestuften Schichten sind. Etwa zwei Drittel sind üblich.</translation>
</message>
<message>
    <source>Lowest layers that spread out on the plate, so that slender supports stay down.</source>
    <translation>Unterste Schichten, die auf der Platte ausladen, damit schlanke Stützen stehen bleiben.</translation>
</message>
<message>
    <source>How far the lowest layer of a foot reaches past the support.</source>
    <translation>Wie weit die unterste Schicht eines Fußes über die Stütze hinausreicht.</translation>
</message>
<message>
    <source>Which filament prints the interface. One that does not bond to the part's, or that water takes away, lets the gap be 0.</source>
    <translation>Welches Filament die Trennlage druckt. Eines, das sich mit dem des Teils nicht verbindet oder in Wasser löst, erlaubt den Abstand 0.</translation>
</message>
<message>
    <source>Under an interface that dissolves, the first filament wherever the piece can be pulled out whole and the second where only water gets it out; or the first or second everywhere.</source>
    <translation>Unter einer löslichen Trennlage das erste Filament, wo sich das Stück ganz herausziehen lässt, und das zweite, wo nur Wasser es holt; oder überall das erste oder zweite.</translation>
</message>
<message>
    <source>Solid layers under everything, reaching past its outline, that hold the corners of wide flat parts down. Comes off with the support.</source>
    <translation>Volle Schichten unter allem, über den Umriss hinaus, die die Ecken breiter flacher Teile niederhalten. Geht mit den Stützen ab.</translation>
</message>
<message>
    <source>How far the raft reaches past the outline. Farther holds corners down better.</source>
    <translation>Wie weit das Floß über den Umriss hinausreicht. Weiter hält Ecken besser nieder.</translation>
</message>
<message>
    <source>Daylight between the raft and what is printed on it. 0 bonds; about one layer comes off by hand.</source>
    <translation>Luft zwischen Floß und dem, was darauf gedruckt wird. 0 verbindet; etwa eine Schicht geht von Hand ab.</translation>
</message>
<message>
    <source>Daylight between the lines of the support's body. 2 to 2.5 mm is usual; over 3 mm the interface sags between them.</source>
    <translation>Luft zwischen den Linien des Stützkörpers. 2 bis 2,5 mm sind üblich; über 3 mm hängt die Trennlage dazwischen durch.</translation>
</message>
<message>
    <source>Lines around the body. With 0 only what is too narrow to stand without has one; one keeps any body in one piece, more make it sturdier, heavier and harder to crush.</source>
    <translation>Linien um den Körper. Bei 0 hat nur eine, was ohne sie zu schmal zum Stehen ist; eine hält jeden Körper beisammen, mehr machen ihn stämmiger, schwerer und schwerer zu zerdrücken.</translation>
</message>
<message>
    <source>Slower is neater and sticks better.</source>
    <translation>Langsamer ist sauberer und haftet besser.</translation>
</message>
<message>
    <source>The most any line of the first layer is printed at.</source>
    <translation>Das Höchste, womit eine Linie der ersten Schicht gedruckt wird.</translation>
</message>
<message>
    <source>The slowest a line is printed when a layer is slowed to its least time; what still lacks is waited for beside the print.</source>
    <translation>Das Langsamste, womit eine Linie gedruckt wird, wenn eine Schicht auf ihre geringste Zeit gebremst wird; was dann noch fehlt, wird neben dem Druck gewartet.</translation>
</message>
<message>
    <source>Moves that print nothing.</source>
    <translation>Wege, auf denen nichts gedruckt wird.</translation>
</message>
<message>
    <source>Share of the fan these lines get. More cools faster; less bonds layers better. The filament says how much fan there is.</source>
    <translation>Anteil des Lüfters, den diese Linien bekommen. Mehr kühlt schneller; weniger verbindet Schichten besser. Das Filament sagt, wie viel Lüfter da ist.</translation>
</message>
<message>
    <source>Whether a fan blows at what has just been printed. Without one less leans freely.</source>
    <translation>Ob ein Lüfter auf das eben Gedruckte bläst. Ohne ihn neigt sich weniger frei.</translation>
</message>
<message>
    <source>Along x.</source>
    <translation>Entlang x.</translation>
</message>
<message>
    <source>Along y.</source>
    <translation>Entlang y.</translation>
</message>
<message>
    <source>The highest a print can be.</source>
    <translation>Wie hoch ein Druck höchstens sein kann.</translation>
</message>
<message>
    <source>Bore of the nozzle.</source>
    <translation>Bohrung der Düse.</translation>
</message>
<message>
    <source>For the time estimate; set it to what the machine is set to.</source>
    <translation>Für die Zeitschätzung; wie die Maschine eingestellt ist.</translation>
</message>
<message>
    <source>How far the machine may round a corner; sets the speed it keeps there.</source>
    <translation>Wie weit die Maschine eine Ecke runden darf; bestimmt das Tempo, das sie dort hält.</translation>
</message>
<message>
    <source>Filament pulled back before a travel.</source>
    <translation>Filament, das vor einem Weg zurückgezogen wird.</translation>
</message>
<message>
    <source>How fast it is pulled back and pushed again.</source>
    <translation>Wie schnell es zurückgezogen und wieder vorgeschoben wird.</translation>
</message>
<message>
    <source>Shorter travels are made without retracting, and so are longer ones within an island or a piece of support.</source>
    <translation>Kürzere Wege gehen ohne Rückzug, auch längere innerhalb einer Insel oder eines Stücks Stütze.</translation>
</message>
<message>
    <source>Of the filament, for the time estimate.</source>
    <translation>Des Filaments, für die Zeitschätzung.</translation>
</message>
<message>
    <source>How far the nozzle rises where it travels over the part. Higher is safer and slower.</source>
    <translation>Wie weit sich die Düse hebt, wo sie über das Teil fährt. Höher ist sicherer und langsamer.</translation>
</message>
<message>
    <source>From layer to layer, and to lift.</source>
    <translation>Von Schicht zu Schicht, und zum Heben.</translation>
</message>
<message>
    <source>For the time shown; 0 leaves it out.</source>
    <translation>Für die gezeigte Zeit; 0 lässt es weg.</translation>
</message>
<message>
    <source>Printed before everything. {plate_heat}, {nozzle_heat} and {height} are filled in.</source>
    <translation>Vor allem gedruckt. {plate_heat}, {nozzle_heat} und {height} werden eingesetzt.</translation>
</message>
<message>
    <source>Printed after everything, with the same values filled in.</source>
    <translation>Nach allem gedruckt, mit denselben Werten eingesetzt.</translation>
</message>
<message>
    <source>Printed when the other filament's turn comes; {tool} is 0 or 1. The nozzle has been lifted off and pulled back.</source>
    <translation>Gedruckt, wenn das andere Filament dran ist; {tool} ist 0 oder 1. Die Düse ist gehoben und das Filament zurückgezogen.</translation>
</message>
<message>
    <source>For the time estimate.</source>
    <translation>Für die Zeitschätzung.</translation>
</message>
<message>
    <source>What is printed into the prime tower after each tool change, until the new filament runs pure. 0 builds no tower.</source>
    <translation>Was nach jedem Werkzeugwechsel in den Spülturm gedruckt wird, bis das neue Filament rein läuft. 0 baut keinen Turm.</translation>
</message>
<message>
    <source>Of both filaments.</source>
    <translation>Beider Filamente.</translation>
</message>
<message>
    <source>For the grams.</source>
    <translation>Für die Gramm.</translation>
</message>
<message>
    <source>For the money, in your own currency.</source>
    <translation>Für das Geld, in Ihrer Währung.</translation>
</message>
<message>
    <source>How much of it the nozzle melts in a second. No line is printed faster than that allows.</source>
    <translation>Wie viel davon die Düse in einer Sekunde schmilzt. Keine Linie wird schneller gedruckt, als das erlaubt.</translation>
</message>
<message>
    <source>How long a layer has to cool before the next. A faster one is slowed, its outer walls last.</source>
    <translation>Wie lange eine Schicht vor der nächsten kühlen muss. Eine schnellere wird gebremst, ihre Außenwände zuletzt.</translation>
</message>
<message>
    <source>On layers that take three times their least time or more. Less bonds layers better.</source>
    <translation>In Schichten, die das Dreifache ihrer geringsten Zeit oder länger dauern. Weniger verbindet Schichten besser.</translation>
</message>
<message>
    <source>On layers at their least time, on bridges, on walls that lean out, and right over support. 0 for what warps or splits in a draught.</source>
    <translation>In Schichten an ihrer geringsten Zeit, auf Brücken, an hinausgeneigten Wänden und gleich über Stützen. 0 für das, was sich im Luftzug verzieht oder spaltet.</translation>
</message>
<message>
    <source>0 lets it hold on the plate.</source>
    <translation>0 lässt es auf der Platte haften.</translation>
</message>
<message>
    <source>What prints really take over what was reckoned.</source>
    <translation>Was Drucke wirklich brauchen, durch das Gerechnete.</translation>
</message>
<message>
    <source>Young's modulus across layers: how little a tall part gives way to the nozzle. A usual figure, not measured on your filament; a soft filament has a hundredth of it.</source>
    <translation>Elastizitätsmodul quer zu den Schichten: wie wenig ein hohes Teil der Düse nachgibt. Ein üblicher Wert, nicht an Ihrem Filament gemessen; ein weiches hat ein Hundertstel davon.</translation>
</message>
<message>
    <source>What the plate holds before the print comes off. A usual figure, not measured on your plate; less on a cold or greasy one.</source>
    <translation>Was die Platte hält, ehe der Druck abgeht. Ein üblicher Wert, nicht an Ihrer Platte gemessen; weniger auf einer kalten oder fettigen.</translation>
</message>
<message>
    <source>While printing.</source>
    <translation>Beim Drucken.</translation>
</message>
<message>
    <source>Whether the second filament dissolves in water.</source>
    <translation>Ob sich das zweite Filament in Wasser löst.</translation>
</message>
<message>
    <source>How much of it the nozzle melts in a second.</source>
    <translation>Wie viel davon die Düse in einer Sekunde schmilzt.</translation>
</message>
<message>
    <source>The most any line is printed at with it. Soluble filaments are slow: common practice.</source>
    <translation>Das Höchste, womit eine Linie daraus gedruckt wird. Lösliche Filamente sind langsam: übliche Praxis.</translation>
</message>
<message>
    <source>outside</source>
    <translation>außen</translation>
</message>
<message>
    <source>inside</source>
    <translation>innen</translation>
</message>
<message>
    <source>both</source>
    <translation>beides</translation>
</message>
<message>
    <source>overhangs</source>
    <translation>Überhänge</translation>
</message>
<message>
    <source>floating</source>
    <translation>Anfänge in der Luft</translation>
</message>
<message>
    <source>decisions</source>
    <translation>Entscheidungen</translation>
</message>
<message>
    <source>plate</source>
    <translation>Platte</translation>
</message>
<message>
    <source>any</source>
    <translation>überall</translation>
</message>
<message>
    <source>normal</source>
    <translation>gerade</translation>
</message>
<message>
    <source>tree</source>
    <translation>Baum</translation>
</message>
<message>
    <source>close</source>
    <translation>eng</translation>
</message>
<message>
    <source>squared</source>
    <translation>quadratisch</translation>
</message>
<message>
    <source>lines</source>
    <translation>Linien</translation>
</message>
<message>
    <source>crossed</source>
    <translation>gekreuzt</translation>
</message>
<message>
    <source>concentric</source>
    <translation>konzentrisch</translation>
</message>
<message>
    <source>zigzag</source>
    <translation>Zickzack</translation>
</message>
<message>
    <source>first</source>
    <translation>erstes</translation>
</message>
<message>
    <source>second</source>
    <translation>zweites</translation>
</message>
<message>
    <source>auto</source>
    <translation>von selbst</translation>
</message>
<message>
    <source>overhangs and decisions</source>
    <translation>Überhang und Wahl</translation>
</message>
<message>
    <source>floating starts and decisions</source>
    <translation>Anfang in Luft, Wahl</translation>
</message>
<message>
    <source>decisions only</source>
    <translation>nur Ihre Wahl</translation>
</message>
<message>
    <source>close to the shadow</source>
    <translation>eng am Schatten</translation>
</message>
<message>
    <source>square columns</source>
    <translation>quadratische Säulen</translation>
</message>
<message>
    <source>one zigzag</source>
    <translation>ein Zickzack</translation>
</message>
<message>
    <source>first filament</source>
    <translation>erstes Filament</translation>
</message>
<message>
    <source>second filament</source>
    <translation>zweites Filament</translation>
</message>
<message>
    <source>first if it comes out</source>
    <translation>erstes, wenn es abgeht</translation>
</message>
<message>
    <source>plate only</source>
    <translation>nur Platte</translation>
</message>
<message>
    <source>plate and part</source>
    <translation>Platte und Teil</translation>
</message>
<message>
    <source>machine</source>
    <translation>Maschine</translation>
</message>
<message>
    <source>filament</source>
    <translation>Filament</translation>
</message>
<message>
    <source>print</source>
    <translation>Druck</translation>
</message>
<message>
    <source>smooth</source>
    <translation>glatt</translation>
</message>
<message>
    <source>striped</source>
    <translation>gestreift</translation>
</message>
<message>
    <source>rough</source>
    <translation>rau</translation>
</message>
<message>
    <source>fused</source>
    <translation>verschmolzen</translation>
</message>
<message>
    <source>nicked</source>
    <translation>gekerbt</translation>
</message>
<message>
    <source>comes away</source>
    <translation>geht ab</translation>
</message>
<message>
    <source>in bits</source>
    <translation>in Stücken</translation>
</message>
<message>
    <source>needs pliers</source>
    <translation>braucht eine Zange</translation>
</message>
<message>
    <source>fragile</source>
    <translation>zerbrechlich</translation>
</message>
<message>
    <source>washes out</source>
    <translation>löst sich</translation>
</message>
<message>
    <source>trapped</source>
    <translation>gefangen</translation>
</message>
<message>
    <source>pull</source>
    <translation>ziehen</translation>
</message>
<message>
    <source>turn and pull</source>
    <translation>drehen und ziehen</translation>
</message>
<message>
    <source>crush and draw out</source>
    <translation>zerdrücken und herausziehen</translation>
</message>
<message>
    <source>wash out</source>
    <translation>auswaschen</translation>
</message>
<message>
    <source>note</source>
    <translation>Hinweis</translation>
</message>
<message>
    <source>warning</source>
    <translation>Warnung</translation>
</message>
<message>
    <source>problem</source>
    <translation>Mangel</translation>
</message>
<message>
    <source>by hand</source>
    <translation>von Hand</translation>
</message>
<message>
    <source>pliers</source>
    <translation>Zange</translation>
</message>
<message>
    <source>stayed</source>
    <translation>blieb</translation>
</message>
<message>
    <source>fell off</source>
    <translation>fiel ab</translation>
</message>
<message>
    <source>fell over</source>
    <translation>fiel um</translation>
</message>
<message>
    <source>came off the plate</source>
    <translation>ging von der Platte ab</translation>
</message>
<message>
    <source>sagged</source>
    <translation>hing durch</translation>
</message>
<message>
    <source>stringing</source>
    <translation>zog Fäden</translation>
</message>
<message>
    <source>Easy release</source>
    <translation>Leicht ab</translation>
</message>
<message>
    <source>Wide gaps, an open interface and one zigzag that pulls out as a ribbon. The underside is a little rough.</source>
    <translation>Weite Abstände, eine offene Trennlage und ein Zickzack, das sich als Band herauszieht. Die Unterseite ist etwas rau.</translation>
</message>
<message>
    <source>Balanced</source>
    <translation>Ausgewogen</translation>
</message>
<message>
    <source>A layer of gap and three interface layers: comes off by hand and leaves an even face.</source>
    <translation>Eine Schicht Abstand und drei Trennschichten: geht von Hand ab und lässt eine ebene Fläche.</translation>
</message>
<message>
    <source>Best underside</source>
    <translation>Beste Unterseite</translation>
</message>
<message>
    <source>A narrow gap, a dense interface over graded layers and crossed lines. Needs pliers and more filament.</source>
    <translation>Ein enger Abstand, eine dichte Trennlage über abgestuften Schichten und gekreuzten Linien. Braucht eine Zange und mehr Filament.</translation>
</message>
<message>
    <source>Soluble</source>
    <translation>Löslich</translation>
</message>
<message>
    <source>No gap and a solid interface: only for an interface that water takes away.</source>
    <translation>Kein Abstand und eine volle Trennlage: nur für eine Trennlage, die sich in Wasser löst.</translation>
</message>
<message>
    <source>Plain</source>
    <translation>Einfach</translation>
</message>
<message>
    <source>Support from the part's own filament.</source>
    <translation>Stützen aus dem Filament des Teils.</translation>
</message>
<message>
    <source>Brittle release</source>
    <translation>Spröde ab</translation>
</message>
<message>
    <source>The interface from a filament that does not bond to the part's and snaps off.</source>
    <translation>Die Trennlage aus einem Filament, das sich mit dem des Teils nicht verbindet und abspringt.</translation>
</message>
<message>
    <source>Dissolves</source>
    <translation>Löst sich</translation>
</message>
<message>
    <source>The interface from a filament that water takes away, and the body too where it cannot be pulled out.</source>
    <translation>Die Trennlage aus einem Filament, das sich in Wasser löst, und der Körper auch, wo er sich nicht herausziehen lässt.</translation>
</message>
<message>
    <source>Speed of outer walls</source>
    <translation>Tempo für Außenwände</translation>
</message>
<message>
    <source>Fan for outer walls</source>
    <translation>Lüfter für Außenwände</translation>
</message>
<message>
    <source>Speed of inner walls</source>
    <translation>Tempo für Innenwände</translation>
</message>
<message>
    <source>Fan for inner walls</source>
    <translation>Lüfter für Innenwände</translation>
</message>
<message>
    <source>Speed of walls that lean out</source>
    <translation>Tempo für hinausgeneigte Wände</translation>
</message>
<message>
    <source>Fan for walls that lean out</source>
    <translation>Lüfter für hinausgeneigte Wände</translation>
</message>
<message>
    <source>Speed of covers</source>
    <translation>Tempo für Decken</translation>
</message>
<message>
    <source>Fan for covers</source>
    <translation>Lüfter für Decken</translation>
</message>
<message>
    <source>Speed of covers right over support</source>
    <translation>Tempo für Decken gleich über Stützen</translation>
</message>
<message>
    <source>Fan for covers right over support</source>
    <translation>Lüfter für Decken gleich über Stützen</translation>
</message>
<message>
    <source>Speed of infill</source>
    <translation>Tempo für Füllung</translation>
</message>
<message>
    <source>Fan for infill</source>
    <translation>Lüfter für Füllung</translation>
</message>
<message>
    <source>Speed of bridges</source>
    <translation>Tempo für Brücken</translation>
</message>
<message>
    <source>Fan for bridges</source>
    <translation>Lüfter für Brücken</translation>
</message>
<message>
    <source>Speed of support bodies</source>
    <translation>Tempo für Stützkörper</translation>
</message>
<message>
    <source>Fan for support bodies</source>
    <translation>Lüfter für Stützkörper</translation>
</message>
<message>
    <source>Speed of upper interfaces</source>
    <translation>Tempo für obere Trennlagen</translation>
</message>
<message>
    <source>Fan for upper interfaces</source>
    <translation>Lüfter für obere Trennlagen</translation>
</message>
<message>
    <source>Speed of lower interfaces</source>
    <translation>Tempo für untere Trennlagen</translation>
</message>
<message>
    <source>Fan for lower interfaces</source>
    <translation>Lüfter für untere Trennlagen</translation>
</message>
<message>
    <source>Speed of branches</source>
    <translation>Tempo für Äste</translation>
</message>
<message>
    <source>Fan for branches</source>
    <translation>Lüfter für Äste</translation>
</message>
<message>
    <source>Speed of graded layers</source>
    <translation>Tempo für abgestufte Schichten</translation>
</message>
<message>
    <source>Fan for graded layers</source>
    <translation>Lüfter für abgestufte Schichten</translation>
</message>
<message>
    <source>Speed of holds</source>
    <translation>Tempo für Halte</translation>
</message>
<message>
    <source>Fan for holds</source>
    <translation>Lüfter für Halte</translation>
</message>
<message>
    <source>Speed of feet of supports</source>
    <translation>Tempo für Stützfüße</translation>
</message>
<message>
    <source>Fan for feet of supports</source>
    <translation>Lüfter für Stützfüße</translation>
</message>
<message>
    <source>Speed of rafts</source>
    <translation>Tempo für Flöße</translation>
</message>
<message>
    <source>Fan for rafts</source>
    <translation>Lüfter für Flöße</translation>
</message>
<message>
    <source>Speed of the skirt</source>
    <translation>Tempo für die Vorlinie</translation>
</message>
<message>
    <source>Fan for the skirt</source>
    <translation>Lüfter für die Vorlinie</translation>
</message>
<message>
    <source>Speed of the brim</source>
    <translation>Tempo für den Rand</translation>
</message>
<message>
    <source>Fan for the brim</source>
    <translation>Lüfter für den Rand</translation>
</message>
<message>
    <source>Speed of the prime tower</source>
    <translation>Tempo für den Spülturm</translation>
</message>
<message>
    <source>Fan for the prime tower</source>
    <translation>Lüfter für den Spülturm</translation>
</message>
<message>
    <source>Speed of the first layer</source>
    <translation>Tempo für die erste Schicht</translation>
</message>
<message>
    <source>Fan for the first layer</source>
    <translation>Lüfter für die erste Schicht</translation>
</message>
<message>
    <source>time</source>
    <translation>Zeit</translation>
</message>
<message>
    <source>part</source>
    <translation>Teil</translation>
</message>
<message>
    <source>support</source>
    <translation>Stützen</translation>
</message>
<message>
    <source>interface</source>
    <translation>Trennlage</translation>
</message>
<message>
    <source>rest</source>
    <translation>Rest</translation>
</message>
<message>
    <source>filament for</source>
    <translation>Filament für</translation>
</message>
<message>
    <source>to take it off</source>
    <translation>zum Abnehmen</translation>
</message>
<message>
    <source>problems</source>
    <translation>Mängel</translation>
</message>
<message>
    <source>warnings</source>
    <translation>Warnungen</translation>
</message>
<message>
    <source>notes</source>
    <translation>Hinweise</translation>
</message>
<message>
    <source>sways at 1 N</source>
    <translation>schwankt bei 1 N</translation>
</message>
<message>
    <source>plate holds</source>
    <translation>Platte hält</translation>
</message>
<message>
    <source>Currency</source>
    <translation>Währung</translation>
</message>
<message>
    <source>What prices are in: a sign, or three letters.</source>
    <translation>Worin Preise sind: ein Zeichen, oder drei Buchstaben.</translation>
</message>
<message>
    <source>contact</source>
    <translation>Berührung</translation>
</message>
<message>
    <source>scarred where seen</source>
    <translation>mit Narben, wo gesehen</translation>
</message>
<message>
    <source>carrying marks over</source>
    <translation>überträgt Marken</translation>
</message>
<message>
    <source>cutting a fragment</source>
    <translation>schneidet ein Bruchstück</translation>
</message>
<message>
    <source>getting the surface ready</source>
    <translation>bereitet die Fläche vor</translation>
</message>
<message>
    <source>growing branches</source>
    <translation>lässt Äste wachsen</translation>
</message>
<message>
    <source>keeping a note</source>
    <translation>behält eine Notiz</translation>
</message>
<message>
    <source>letting supports down</source>
    <translation>lässt Stützen hinab</translation>
</message>
<message>
    <source>looking for symmetry</source>
    <translation>sucht Symmetrie</translation>
</message>
<message>
    <source>looking for turnings</source>
    <translation>sucht Drehungen</translation>
</message>
<message>
    <source>mending</source>
    <translation>flickt</translation>
</message>
<message>
    <source>reading</source>
    <translation>liest</translation>
</message>
<message>
    <source>reading G-code</source>
    <translation>liest G-Code</translation>
</message>
<message>
    <source>reading it again</source>
    <translation>liest es wieder</translation>
</message>
<message>
    <source>refining turnings</source>
    <translation>verfeinert Drehungen</translation>
</message>
<message>
    <source>writing G-code</source>
    <translation>schreibt G-Code</translation>
</message>
<message>
    <source>writing supports</source>
    <translation>schreibt Stützen</translation>
</message>
<message>
    <source>building supports</source>
    <translation>baut Stützen</translation>
</message>
<message>
    <source>cutting into layers</source>
    <translation>schneidet in Schichten</translation>
</message>
<message>
    <source>joining supports</source>
    <translation>verbindet Stützen</translation>
</message>
<message>
    <source>judging pieces</source>
    <translation>beurteilt Stücke</translation>
</message>
<message>
    <source>laying beads</source>
    <translation>legt Raupen</translation>
</message>
<message>
    <source>laying lines</source>
    <translation>legt Linien</translation>
</message>
<message>
    <source>looking meshes over</source>
    <translation>sieht Netze an</translation>
</message>
<message>
    <source>planning removal</source>
    <translation>plant die Abnahme</translation>
</message>
<message>
    <source>trying remedies</source>
    <translation>probiert Abhilfen</translation>
</message>
<message>
    <source>weighing</source>
    <translation>wiegt</translation>
</message>
<message>
    <source>done</source>
    <translation>fertig</translation>
</message>
<message>
    <source>There is not enough memory for this. Use a mesh with fewer facets, or thicker layers.</source>
    <translation>Dafür reicht der Speicher nicht. Ein Netz mit weniger Facetten nehmen, oder dickere Schichten.</translation>
</message>
<message>
    <source>{}, site {}</source>
    <translation>{}, Stelle {}</translation>
</message>
<message>
    <source>{}, prop {}</source>
    <translation>{}, Stempel {}</translation>
</message>
<message>
    <source>{}, zone {}</source>
    <translation>{}, Zone {}</translation>
</message>
<message>
    <source>{}, hold</source>
    <translation>{}, Halt</translation>
</message>
<message>
    <source>{}, made elsewhere</source>
    <translation>{}, anderswo gemacht</translation>
</message>
<message>
    <source>{}, enforced by hand</source>
    <translation>{}, von Hand erzwungen</translation>
</message>
<message>
    <source>{}, enforced as tint {}</source>
    <translation>{}, als Ton {} erzwungen</translation>
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
    <source>another text</source>
    <translation>ein anderer Text</translation>
</message>
<message>
    <source>another mesh</source>
    <translation>ein anderes Netz</translation>
</message>
<message>
    <source>scaled</source>
    <translation>anders groß</translation>
</message>
<message>
    <source>turned</source>
    <translation>gedreht</translation>
</message>
<message>
    <source>moved</source>
    <translation>verschoben</translation>
</message>
<message>
    <source>enforced</source>
    <translation>erzwungen</translation>
</message>
<message>
    <source>blocked</source>
    <translation>gesperrt</translation>
</message>
<message>
    <source>kept clean</source>
    <translation>sauber gehalten</translation>
</message>
<message>
    <source>seen</source>
    <translation>gesehen</translation>
</message>
<message>
    <source>props</source>
    <translation>Stempel</translation>
</message>
<message>
    <source>enforcing zones</source>
    <translation>erzwingende Zonen</translation>
</message>
<message>
    <source>blocking zones</source>
    <translation>sperrende Zonen</translation>
</message>
<message>
    <source>keep clear zones</source>
    <translation>freihaltende Zonen</translation>
</message>
<message>
    <source>sites enforced</source>
    <translation>erzwungene Stellen</translation>
</message>
<message>
    <source>sites blocked</source>
    <translation>gesperrte Stellen</translation>
</message>
<message>
    <source>{:.0f} → {:.0f} mm² {}</source>
    <translation>{:.0f} → {:.0f} mm² {}</translation>
</message>
<message>
    <source>other places {}</source>
    <translation>andere Orte {}</translation>
</message>
<message>
    <source>{} otherwise</source>
    <translation>{} anders</translation>
</message>
<message>
    <source>{:l} as the plate's</source>
    <translation>{} wie für die Platte</translation>
</message>
<message>
    <source>{:l} of its own, {}</source>
    <translation>{} eigens, {}</translation>
</message>
<message>
    <source>{} added</source>
    <translation>{} ist dazugekommen</translation>
</message>
<message>
    <source>{} left out</source>
    <translation>{} ist weggelassen</translation>
</message>
<message>
    <source>So it is with {} other parts.</source>
    <translation>So ist es bei {} weiteren Teilen.</translation>
</message>
<message>
    <source>{}, for all</source>
    <translation>{}, bei allen</translation>
</message>
<message>
    <source>sink the part by {:.1f} mm</source>
    <translation>das Teil um {:.1f} mm versenken</translation>
</message>
<message>
    <source>lift it by 2 mm and carry it</source>
    <translation>um 2 mm heben und stützen</translation>
</message>
<message>
    <source>raft of 3 layers</source>
    <translation>Floß von 3 Schichten</translation>
</message>
<message>
    <source>lay its broadest side down</source>
    <translation>auf die breiteste Seite legen</translation>
</message>
<message>
    <source>enforce it</source>
    <translation>erzwingen</translation>
</message>
<message>
    <source>enforce them</source>
    <translation>alle erzwingen</translation>
</message>
<message>
    <source>support every floating start</source>
    <translation>jeden Anfang in der Luft stützen</translation>
</message>
<message>
    <source>{} begins in mid-air at {:.2f} mm height.</source>
    <translation>{} beginnt bei {:.2f} mm Höhe in der Luft.</translation>
</message>
<message>
    <source>{} begins in mid-air at {} places, the lowest at {:.2f} mm height.</source>
    <translation>{} beginnt an {} Orten in der Luft, am tiefsten bei {:.2f} mm Höhe.</translation>
</message>
<message>
    <source>Nothing is under it, so it would be printed into the air. Support it, or turn the part.</source>
    <translation>Darunter ist nichts, also würde es in die Luft gedruckt. Stützen, oder das Teil drehen.</translation>
</message>
<message>
    <source>support every overhang</source>
    <translation>jeden Überhang stützen</translation>
</message>
<message>
    <source>enforce site {}</source>
    <translation>Stelle {} erzwingen</translation>
</message>
<message>
    <source>{}: {:.0f} mm² hang without support.</source>
    <translation>{}: {:.0f} mm² hängen ohne Stützen.</translation>
</message>
<message>
    <source>{}: {:.0f} mm² hang without support, at {} places.</source>
    <translation>{}: {:.0f} mm² hängen ohne Stützen, an {} Orten.</translation>
</message>
<message>
    <source>The most is at site {}, from {:.1f} mm height: {:.1f} mm lie free there, and a line bridges at most {:g} mm. Let it be supported, or turn the part.</source>
    <translation>Das meiste bei Stelle {}, ab {:.1f} mm Höhe: {:.1f} mm liegen dort frei, und eine Linie überbrückt höchstens {:g} mm. Stützen lassen, oder das Teil drehen.</translation>
</message>
<message>
    <source>{}: {:.0f} mm² at its rounded foot print without support.</source>
    <translation>{}: {:.0f} mm² am runden Fuß werden ohne Stützen gedruckt.</translation>
</message>
<message>
    <source>It hangs less than a layer over what it stands on and widens by little, so its lines sag onto that. Sinking the part gives it a flat foot and a better hold.</source>
    <translation>Er hängt weniger als eine Schicht über dem, worauf er steht, und wird nur wenig breiter, also sinken seine Linien darauf. Versenkt man das Teil, steht es flach und hält besser.</translation>
</message>
<message>
    <source>normal support</source>
    <translation>gerade Stützen</translation>
</message>
<message>
    <source>trees</source>
    <translation>Bäume</translation>
</message>
<message>
    <source>bodies without walls</source>
    <translation>Körper ohne Wände</translation>
</message>
<message>
    <source>bodies of 3 mm spacing</source>
    <translation>Körper mit 3 mm Abstand</translation>
</message>
<message>
    <source>{:.0f} min</source>
    <translation>{:.0f} min</translation>
</message>
<message>
    <source>{:.1f} h</source>
    <translation>{:.1f} h</translation>
</message>
<message>
    <source>{}: support takes {:.1f} times the filament of the part.</source>
    <translation>{}: Die Stützen brauchen {:.1f}-mal so viel Filament wie das Teil.</translation>
</message>
<message>
    <source>{}: support takes {:.1f} times as long as the part.</source>
    <translation>{}: Die Stützen brauchen {:.1f}-mal so lange wie das Teil.</translation>
</message>
<message>
    <source>It takes {}. Another structure or another turning may be much cheaper.</source>
    <translation>Es dauert {}. Anders gebaut oder gedreht kann es viel billiger sein.</translation>
</message>
<message>
    <source>{}: clean faces keep {:.0f} mm² from being supported.</source>
    <translation>{}: Saubere Flächen halten {:.0f} mm² von Stützen frei.</translation>
</message>
<message>
    <source>What hangs there is printed over nothing, because no support may touch a clean face. Turn the part, or let the face be touched.</source>
    <translation>Was dort hängt, wird über nichts gedruckt, denn keine Stütze darf eine saubere Fläche berühren. Das Teil drehen, oder die Fläche berühren lassen.</translation>
</message>
<message>
    <source>{}: supports are switched off, so none of your decisions is built.</source>
    <translation>{}: Stützen sind ausgeschaltet, also wird keine Ihrer Entscheidungen gebaut.</translation>
</message>
<message>
    <source>Switch supports on to have them.</source>
    <translation>Stützen einschalten, um sie zu haben.</translation>
</message>
<message>
    <source>{}: {:.0f} mm² of enforcer lie on a face that looks up.</source>
    <translation>{}: {:.0f} mm² Erzwungenes liegen auf einer Fläche, die nach oben zeigt.</translation>
</message>
<message>
    <source>Nothing there needs carrying, so it does nothing. Paint the underside instead, or clear it.</source>
    <translation>Dort ist nichts zu tragen, also tut es nichts. Die Unterseite bemalen, oder es löschen.</translation>
</message>
<message>
    <source>clear that face</source>
    <translation>diese Fläche löschen</translation>
</message>
<message>
    <source>{}: zone {} covers no underside that leans more than {:g}°.</source>
    <translation>{}: Zone {} bedeckt keine Unterseite, die sich mehr als {:g}° neigt.</translation>
</message>
<message>
    <source>It asks for nothing. Move it, make it larger, or lower its lean.</source>
    <translation>Sie verlangt nichts. Verschieben, vergrößern oder ihre Neigung verringern.</translation>
</message>
<message>
    <source>{}: prop {} stands under nothing and beside nothing.</source>
    <translation>{}: Stempel {} steht unter nichts und neben nichts.</translation>
</message>
<message>
    <source>Drag it to an underside or a wall, or remove it.</source>
    <translation>Unter eine Unterseite oder an eine Wand ziehen, oder entfernen.</translation>
</message>
<message>
    <source>{}: you chose something for a site that no longer hangs.</source>
    <translation>{}: Für eine Stelle ist etwas gewählt, die nicht mehr hängt.</translation>
</message>
<message>
    <source>The choice does nothing. Drop it, or lower the free lean.</source>
    <translation>Die Wahl tut nichts. Fallen lassen, oder die freie Neigung verringern.</translation>
</message>
<message>
    <source>normal support there</source>
    <translation>dort gerade Stützen</translation>
</message>
<message>
    <source>Site {} is {}. Trees need a tip every few millimetres there.</source>
    <translation>Stelle {} ist {}. Bäume brauchen dort alle paar Millimeter eine Spitze.</translation>
</message>
<message>
    <source>Branches under site {} take {:.0f} min, columns would take about {:.0f}.</source>
    <translation>Äste unter Stelle {} dauern {:.0f} min, Säulen würden etwa {:.0f} dauern.</translation>
</message>
<message>
    <source>{}: normal support suits {} better than trees.</source>
    <translation>{}: Gerade Stützen passen zu {} besser als Bäume.</translation>
</message>
<message>
    <source>one site</source>
    <translation>einer Stelle</translation>
</message>
<message>
    <source>{} sites</source>
    <translation>{} Stellen</translation>
</message>
<message>
    <source>All that hangs is supported anyway. Choose "decisions only" if you meant this alone, or take it back.</source>
    <translation>Alles, was hängt, wird ohnehin gestützt. »Nur Wahl« wählen, wenn dies allein gemeint war, oder zurücknehmen.</translation>
</message>
<message>
    <source>Another decision asks for it already, or a stronger one keeps support away. Take it back, or the other.</source>
    <translation>Eine andere Entscheidung verlangt es schon, oder eine stärkere hält Stützen fern. Diese zurücknehmen, oder die andere.</translation>
</message>
<message>
    <source>{}: your enforcers change nothing.</source>
    <translation>{}: Was Sie erzwingen, ändert nichts.</translation>
</message>
<message>
    <source>clear the enforcers</source>
    <translation>das Erzwungene löschen</translation>
</message>
<message>
    <source>{}: your blockers keep nothing away.</source>
    <translation>{}: Was Sie sperren, hält nichts fern.</translation>
</message>
<message>
    <source>Nothing would be supported there without them. Clear them, or paint where support stands.</source>
    <translation>Dort würde auch ohne das nichts gestützt. Löschen, oder dort sperren, wo Stützen stehen.</translation>
</message>
<message>
    <source>clear the blockers</source>
    <translation>das Gesperrte löschen</translation>
</message>
<message>
    <source>{}: zone {} changes nothing.</source>
    <translation>{}: Zone {} ändert nichts.</translation>
</message>
<message>
    <source>Nothing in it would be supported without it. Move it, or remove it.</source>
    <translation>In ihr würde auch ohne sie nichts gestützt. Verschieben oder entfernen.</translation>
</message>
<message>
    <source>as proposed</source>
    <translation>wie vorgeschlagen</translation>
</message>
<message>
    <source>{}: your choice for site {} changes nothing.</source>
    <translation>{}: Ihre Wahl für Stelle {} ändert nichts.</translation>
</message>
<message>
    <source>It would not be supported without it. Leave it as proposed.</source>
    <translation>Sie würde auch ohne das nicht gestützt. Wie vorgeschlagen lassen.</translation>
</message>
<message>
    <source>take them away</source>
    <translation>wegnehmen</translation>
</message>
<message>
    <source>{}: 1 scrap of support is left beside what you blocked.</source>
    <translation>{}: 1 Rest von Stützen bleibt neben dem, was Sie gesperrt haben.</translation>
</message>
<message>
    <source>{}: {} scraps of support are left beside what you blocked.</source>
    <translation>{}: {} Reste von Stützen bleiben neben dem, was Sie gesperrt haben.</translation>
</message>
<message>
    <source>Each carries less than 2 mm² and is a nuisance to pick off. Take them away together, or block a little wider.</source>
    <translation>Jeder trägt weniger als 2 mm² und ist mühsam abzuzupfen. Zusammen wegnehmen, oder etwas breiter sperren.</translation>
</message>
<message>
    <source>{:.0f} mm² that you marked</source>
    <translation>{:.0f} mm², die Sie markiert haben</translation>
</message>
<message>
    <source>one decision</source>
    <translation>eine Entscheidung</translation>
</message>
<message>
    <source>{} decisions</source>
    <translation>{} Entscheidungen</translation>
</message>
<message>
    <source>{} and {}</source>
    <translation>{} und {}</translation>
</message>
<message>
    <source>{}: {} on one side alone.</source>
    <translation>{}: {} nur auf einer Seite.</translation>
</message>
<message>
    <source>{:.0f} % of the part is the same on both sides of a plane, and the other side has nothing like it. Lay it there too, if both sides were meant.</source>
    <translation>{:.0f} % des Teils sind beiderseits einer Ebene gleich, und die andere Seite hat nichts dergleichen. Auch dort anlegen, wenn beide Seiten gemeint waren.</translation>
</message>
<message>
    <source>{:.0f} mm² of enforcer</source>
    <translation>{:.0f} mm² Erzwungenes</translation>
</message>
<message>
    <source>{:.0f} mm² of blocker</source>
    <translation>{:.0f} mm² Gesperrtes</translation>
</message>
<message>
    <source>{:.0f} mm² of clean face</source>
    <translation>{:.0f} mm² saubere Fläche</translation>
</message>
<message>
    <source>{:.0f} mm² of seen face</source>
    <translation>{:.0f} mm² gesehene Fläche</translation>
</message>
<message>
    <source>a prop</source>
    <translation>einen Stempel</translation>
</message>
<message>
    <source>the choice for a site</source>
    <translation>die Wahl für eine Stelle</translation>
</message>
<message>
    <source>move it in</source>
    <translation>hereinschieben</translation>
</message>
<message>
    <source>scale to {:.0f} %</source>
    <translation>auf {:.0f} % verkleinern</translation>
</message>
<message>
    <source>wrap it in a new skin</source>
    <translation>in eine neue Haut hüllen</translation>
</message>
<message>
    <source>{} has a broken mesh: {}.</source>
    <translation>{} hat ein kaputtes Netz: {}.</translation>
</message>
<message>
    <source>It is cut as well as it can be. Mend it in Place; what mending leaves goes with a new skin around it.</source>
    <translation>Es wird so gut geschnitten, wie es geht. In Aufstellen flicken; was das Flicken übrig lässt, geht mit einer neuen Haut darum weg.</translation>
</message>
<message>
    <source>{} lost {} when its mesh was replaced.</source>
    <translation>{} verlor {}, als sein Netz ersetzt wurde.</translation>
</message>
<message>
    <source>The surface there is gone. Decide anew if it is still wanted.</source>
    <translation>Die Fläche dort gibt es nicht mehr. Neu entscheiden, wenn es noch gewünscht ist.</translation>
</message>
<message>
    <source>{} has 1 outline that does not close.</source>
    <translation>{} hat 1 Umriss, der sich nicht schließt.</translation>
</message>
<message>
    <source>{} has {} outlines that do not close.</source>
    <translation>{} hat {} Umrisse, die sich nicht schließen.</translation>
</message>
<message>
    <source>The first, at {:.1f} mm height, has a gap of {:.2f} mm. They were closed straight across.</source>
    <translation>Der erste, bei {:.1f} mm Höhe, hat eine Lücke von {:.2f} mm. Sie wurden gerade geschlossen.</translation>
</message>
<message>
    <source>{} is thinner than half a layer, so nothing of it is printed.</source>
    <translation>{} ist dünner als eine halbe Schicht, also wird nichts davon gedruckt.</translation>
</message>
<message>
    <source>Make it thicker, or the layers thinner.</source>
    <translation>Das Teil dicker machen, oder die Schichten dünner.</translation>
</message>
<message>
    <source>{} is larger than the machine prints.</source>
    <translation>{} ist größer, als die Maschine druckt.</translation>
</message>
<message>
    <source>It measures {:.1f} × {:.1f} × {:.1f} mm, and {:g} × {:g} × {:g} mm fit. Scale it down or cut it.</source>
    <translation>Es misst {:.1f} × {:.1f} × {:.1f} mm, und {:g} × {:g} × {:g} mm passen. Verkleinern oder zerschneiden.</translation>
</message>
<message>
    <source>{} reaches past the plate or its height.</source>
    <translation>{} ragt über die Platte oder ihre Höhe hinaus.</translation>
</message>
<message>
    <source>Move it in.</source>
    <translation>Hereinschieben.</translation>
</message>
<message>
    <source>{} reaches {:.2f} mm below the plate.</source>
    <translation>{} reicht {:.2f} mm unter die Platte.</translation>
</message>
<message>
    <source>What is there is not printed. Drop it to the plate.</source>
    <translation>Was dort ist, wird nicht gedruckt. Auf die Platte stellen.</translation>
</message>
<message>
    <source>{} and {} overlap from {:.1f} mm height.</source>
    <translation>{} und {} überschneiden sich ab {:.1f} mm Höhe.</translation>
</message>
<message>
    <source>They would be printed into each other. Move one of them, or let all be spread out.</source>
    <translation>Sie würden ineinander gedruckt. Eines verschieben, oder alle verteilen lassen.</translation>
</message>
<message>
    <source>{:.1f} mm² over all layers are too thin to print.</source>
    <translation>{:.1f} mm² über alle Schichten sind zu dünn zum Drucken.</translation>
</message>
<message>
    <source>The lowest is at {:.1f} mm height. A line fits where the part is at least half as thick as the line is wide. Thicken it, or set a narrower line width.</source>
    <translation>Das Tiefste liegt bei {:.1f} mm Höhe. Eine Linie passt, wo das Teil mindestens halb so dick ist, wie die Linie breit ist. Dicker machen, oder eine schmalere Linienbreite setzen.</translation>
</message>
<message>
    <source>{} touches the plate with {:.1f} mm² only.</source>
    <translation>{} berührt die Platte nur mit {:.1f} mm².</translation>
</message>
<message>
    <source>That will not hold it while it is printed. Give it a broader foot, carry it, or turn it.</source>
    <translation>Das hält es beim Drucken nicht. Einen breiteren Fuß geben, stützen, oder drehen.</translation>
</message>
<message>
    <source>{} stands on nothing: its first line lies {:.2f} mm over the plate.</source>
    <translation>{} steht auf nichts: Seine erste Linie liegt {:.2f} mm über der Platte.</translation>
</message>
<message>
    <source>It would not stick. Sink it a little, lift it so that support carries it, or turn it.</source>
    <translation>Sie würde nicht haften. Etwas versenken, heben, damit Stützen es tragen, oder drehen.</translation>
</message>
<message>
    <source>{}: a first layer of {:.0f} × {:.0f} mm may curl at its corners.</source>
    <translation>{}: Eine erste Schicht von {:.0f} × {:.0f} mm kann sich an den Ecken aufrollen.</translation>
</message>
<message>
    <source>A brim or a raft holds them down, and sparser infill pulls less.</source>
    <translation>Ein Rand oder ein Floß hält sie fest, und lichtere Füllung zieht weniger.</translation>
</message>
<message>
    <source>brim of 5 mm</source>
    <translation>Rand von 5 mm</translation>
</message>
<message>
    <source>raft of 2 layers</source>
    <translation>Floß von 2 Schichten</translation>
</message>
<message>
    <source>At {:.0f} mm height the nozzle pushes it aside by {:.1f} mm, and {:g} mm are allowed.</source>
    <translation>Bei {:.0f} mm Höhe drückt die Düse es um {:.1f} mm zur Seite, und {:g} mm sind erlaubt.</translation>
</message>
<message>
    <source>At {:.0f} mm height the plate holds it against a sideways push of {:.1f} N, and the nozzle may push with {:g} N.</source>
    <translation>Bei {:.0f} mm Höhe hält die Platte es gegen einen seitlichen Druck von {:.1f} N, und die Düse kann mit {:g} N drücken.</translation>
</message>
<message>
    <source>hold by columns at {} mm</source>
    <translation>Säulen bei {} mm</translation>
</message>
<message>
    <source>hold by branches at {} mm</source>
    <translation>Äste bei {} mm</translation>
</message>
<message>
    <source>brim of 8 mm</source>
    <translation>Rand von 8 mm</translation>
</message>
<message>
    <source>{} will not stand while it is printed.</source>
    <translation>{} wird beim Drucken nicht stehen bleiben.</translation>
</message>
<message>
    <source>{} may come off the plate while it is printed.</source>
    <translation>{} kann sich beim Drucken von der Platte lösen.</translation>
</message>
<message>
    <source>{} may sway while it is printed.</source>
    <translation>{} kann beim Drucken schwanken.</translation>
</message>
<message>
    <source>Hold it from the side, or turn it.</source>
    <translation>Von der Seite halten, oder drehen.</translation>
</message>
<message>
    <source>gap above {:.2f} mm</source>
    <translation>Abstand oben {:.2f} mm</translation>
</message>
<message>
    <source>closer interface</source>
    <translation>engere Trennlage</translation>
</message>
<message>
    <source>No turning spares it.</source>
    <translation>Keine Drehung schont sie.</translation>
</message>
<message>
    <source>turn it so that less is scarred</source>
    <translation>drehen, damit weniger Narben bleiben</translation>
</message>
<message>
    <source>Turned otherwise, support would touch about {:.0f} mm² of it.</source>
    <translation>Anders gedreht würden Stützen etwa {:.0f} mm² davon berühren.</translation>
</message>
<message>
    <source>{}: support leaves {:.0f} mm² {} where it will be looked at.</source>
    <translation>{}: Stützen hinterlassen {:.0f} mm² {}, wo man hinsehen wird.</translation>
</message>
<message>
    <source>block the place</source>
    <translation>den Ort sperren</translation>
</message>
<message>
    <source>block the places</source>
    <translation>die Orte sperren</translation>
</message>
<message>
    <source>{}: a support {:.0f} mm tall is only {:.1f} mm thick and may fall over.</source>
    <translation>{}: Eine Stütze ist {:.0f} mm hoch, aber nur {:.1f} mm dick und kann umfallen.</translation>
</message>
<message>
    <source>It finds no room to widen. Carry the place with columns or from the side, or turn the part.</source>
    <translation>Sie findet keinen Platz, breiter zu werden. Den Ort mit Säulen oder von der Seite stützen, oder das Teil drehen.</translation>
</message>
<message>
    <source>It finds no room to widen. Square columns are stouter, or carry the place from the side.</source>
    <translation>Sie findet keinen Platz, breiter zu werden. Quadratische Säulen sind stämmiger, oder von der Seite stützen.</translation>
</message>
<message>
    <source>{}: {:.0f} mm² lie too close over what is below them for support.</source>
    <translation>{}: {:.0f} mm² liegen zu dicht über dem, was unter ihnen ist, für Stützen.</translation>
</message>
<message>
    <source>Less than 0.05 mm is left between the gaps, so the lines there sag until they touch. Lower the part a little, print on a raft, or narrow the gap.</source>
    <translation>Zwischen den Abständen bleiben weniger als 0,05 mm, also sinken die Linien, bis sie aufliegen. Das Teil etwas senken, auf einem Floß drucken, oder den Abstand verringern.</translation>
</message>
<message>
    <source>{}: {:.1f} mm² hang where support has no place to stand.</source>
    <translation>{}: {:.1f} mm² hängen, wo Stützen nirgends stehen können.</translation>
</message>
<message>
    <source>The part is in the way, and supports may stand on the plate only. Let them stand on the part too, or turn it.</source>
    <translation>Das Teil ist im Weg, und Stützen dürfen nur auf der Platte stehen. Sie auch auf dem Teil stehen lassen, oder es drehen.</translation>
</message>
<message>
    <source>What lies below is too near, too narrow or too steep. A smaller gap beside, branches or another turning open a way.</source>
    <translation>Was darunter liegt, ist zu nah, zu schmal oder zu steil. Ein kleinerer Abstand daneben, Äste oder eine andere Drehung öffnen einen Weg.</translation>
</message>
<message>
    <source>{}: {:.0f} mm² of support would stand on slopes too steep to hold it.</source>
    <translation>{}: {:.0f} mm² Stützen stünden auf Schrägen, die sie nicht halten.</translation>
</message>
<message>
    <source>Those columns are left out where they would stand. A lower interface holds on better.</source>
    <translation>Wo diese Säulen stünden, werden sie weggelassen. Eine untere Trennlage hält besser.</translation>
</message>
<message>
    <source>change it there</source>
    <translation>dort ändern</translation>
</message>
<message>
    <source>{}: a gap above of {:.2f} mm welds support to the part.</source>
    <translation>{}: Ein Abstand oben von {:.2f} mm verschweißt Stützen mit dem Teil.</translation>
</message>
<message>
    <source>It is under half a layer, and the support is of the part's own filament. One layer, {:.2f} mm, is usual.</source>
    <translation>Das ist unter einer halben Schicht, und die Stützen sind aus dem Filament des Teils. Eine Schicht, {:.2f} mm, ist üblich.</translation>
</message>
<message>
    <source>{}: a gap above of {:.2f} mm lets the underside sag.</source>
    <translation>{}: Bei einem Abstand oben von {:.2f} mm sinkt die Unterseite durch.</translation>
</message>
<message>
    <source>It is over two layers, so lines drop before they land. One layer, {:.2f} mm, is usual.</source>
    <translation>Das sind über zwei Schichten, also fallen Linien, ehe sie aufliegen. Eine Schicht, {:.2f} mm, ist üblich.</translation>
</message>
<message>
    <source>{}: a solid interface of its own filament comes off hard.</source>
    <translation>{}: Eine volle Trennlage aus dem eigenen Filament geht schwer ab.</translation>
</message>
<message>
    <source>What stays looks like part. Let daylight between its lines, 0.45 mm.</source>
    <translation>Was bleibt, sieht wie Teil aus. Luft zwischen ihren Linien lassen, 0,45 mm.</translation>
</message>
<message>
    <source>It reaches round the part, and neither a pull, a turn nor breaking it frees it. Block a site in the middle, so that it falls into two.</source>
    <translation>Es reicht um das Teil herum, und weder Ziehen noch Drehen noch Brechen befreit es. Eine Stelle in der Mitte sperren, damit es in zwei fällt.</translation>
</message>
<message>
    <source>They reach round the part, and neither a pull, a turn nor breaking them frees them. Block a site in the middle, so that each falls into two.</source>
    <translation>Sie reichen um das Teil herum, und weder Ziehen noch Drehen noch Brechen befreit sie. Eine Stelle in der Mitte sperren, damit jedes in zwei fällt.</translation>
</message>
<message>
    <source>No opening leads there. Block the place, or turn or open the part.</source>
    <translation>Keine Öffnung führt dorthin. Den Ort sperren, oder das Teil drehen oder öffnen.</translation>
</message>
<message>
    <source>An opening of {:.1f} mm leads there. With one of {:.0f} mm water could take it out, with one of {:.0f} mm a tool: widen the opening, block the place, or turn the part.</source>
    <translation>Eine Öffnung von {:.1f} mm führt dorthin. Durch eine von {:.0f} mm könnte Wasser es herausholen, durch eine von {:.0f} mm ein Werkzeug: die Öffnung weiten, den Ort sperren, oder das Teil drehen.</translation>
</message>
<message>
    <source>part it in the middle</source>
    <translation>es in der Mitte teilen</translation>
</message>
<message>
    <source>part them in the middle</source>
    <translation>sie in der Mitte teilen</translation>
</message>
<message>
    <source>turn it another way</source>
    <translation>anders herum drehen</translation>
</message>
<message>
    <source>An opening of {:.1f} mm leads there: water can take it out if the interface is of a filament that dissolves. Or block the place.</source>
    <translation>Eine Öffnung von {:.1f} mm führt dorthin: Wasser kann es lösen, wenn die Trennlage aus einem löslichen Filament ist. Oder den Ort sperren.</translation>
</message>
<message>
    <source>An opening of {:.1f} mm leads there: water can take them out if the interface is of a filament that dissolves. Or block the place.</source>
    <translation>Eine Öffnung von {:.1f} mm führt dorthin: Wasser kann sie lösen, wenn die Trennlage aus einem löslichen Filament ist. Oder den Ort sperren.</translation>
</message>
<message>
    <source>dissolve it</source>
    <translation>auflösen</translation>
</message>
<message>
    <source>{}: 1 piece of support cannot be taken off.</source>
    <translation>{}: 1 Stück der Stützen kann nicht abgenommen werden.</translation>
</message>
<message>
    <source>{}: {} pieces of support cannot be taken off.</source>
    <translation>{}: {} Stücke der Stützen können nicht abgenommen werden.</translation>
</message>
<message>
    <source>gap {:.2f} mm, spacing {:.2f} mm</source>
    <translation>Abstand {:.2f} mm, Linienabstand {:.2f} mm</translation>
</message>
<message>
    <source>{} may break where support is pulled off, at 1 piece.</source>
    <translation>{} kann brechen, wo Stützen abgezogen werden, bei 1 Stück.</translation>
</message>
<message>
    <source>{} may break where support is pulled off, at {} pieces.</source>
    <translation>{} kann brechen, wo Stützen abgezogen werden, bei {} Stücken.</translation>
</message>
<message>
    <source>It is weaker there than the support holds on. Widen the gap above or the interface's spacing, or support the place beside.</source>
    <translation>Es ist dort schwächer, als die Stützen halten. Den Abstand oben oder den der Trennlage weiten, oder daneben stützen.</translation>
</message>
<message>
    <source>The code finds no free place beside the print.</source>
    <translation>Die Kennung findet neben dem Druck keinen freien Platz.</translation>
</message>
<message>
    <source>It is left out. Move the parts together, or away from the plate's border.</source>
    <translation>Sie wird weggelassen. Die Teile zusammenrücken, oder weg vom Rand der Platte.</translation>
</message>
<message>
    <source>The prime tower finds no free place on the plate.</source>
    <translation>Der Spülturm findet auf der Platte keinen freien Platz.</translation>
</message>
<message>
    <source>Move the parts together, or print support from one filament.</source>
    <translation>Die Teile zusammenrücken, oder Stützen aus einem Filament drucken.</translation>
</message>
<message>
    <source>There is no support at {:.1f}, {:.1f}, {:.1f}. Point at a support that is built.</source>
    <translation>Bei {:.1f}, {:.1f}, {:.1f} ist keine Stütze. Auf eine zeigen, die gebaut ist.</translation>
</message>
<message>
    <source>This support was made elsewhere and is printed as it came. Mark, Clear takes all of it away.</source>
    <translation>Diese Stütze wurde anderswo gemacht und wird gedruckt, wie sie kam. Markieren, Löschen nimmt sie alle weg.</translation>
</message>
<message>
    <source>a flat ceiling of {:.0f} mm² that hangs {:.0f} mm up, where columns would take about {:.0f} times the filament of branches</source>
    <translation>eine flache Decke von {:.0f} mm², die {:.0f} mm hoch hängt, wo Säulen etwa {:.0f}-mal so viel Filament wie Äste brauchen</translation>
</message>
<message>
    <source>a flat ceiling of {:.0f} mm², under which branches would crowd and fuse</source>
    <translation>eine flache Decke von {:.0f} mm², unter der Äste sich drängen und verschmelzen</translation>
</message>
<message>
    <source>small, {:.0f} mm², so that one or few tips carry it and peel off easily</source>
    <translation>klein, {:.0f} mm², sodass eine oder wenige Spitzen sie tragen und leicht abgehen</translation>
</message>
<message>
    <source>curved and {:.0f} mm up, so that branches save filament and touch little</source>
    <translation>gewölbt und {:.0f} mm hoch, sodass Äste Filament sparen und wenig berühren</translation>
</message>
<message>
    <source>curved, so that tips follow it and touch little</source>
    <translation>gewölbt, sodass Spitzen ihr folgen und wenig berühren</translation>
</message>
<message>
    <source>flat, so that one sheet carries it evenly</source>
    <translation>flach, sodass ein Blatt sie gleichmäßig trägt</translation>
</message>
<message>
    <source>nothing of it needs support</source>
    <translation>nichts davon braucht Stützen</translation>
</message>
<message>
    <source>zone {}</source>
    <translation>Zone {}</translation>
</message>
<message>
    <source>enforced by your mark</source>
    <translation>durch Ihre Marke erzwungen</translation>
</message>
<message>
    <source>enforced by your mark, tint {}</source>
    <translation>durch Ihre Marke erzwungen, Ton {}</translation>
</message>
<message>
    <source>blocked by your mark</source>
    <translation>durch Ihre Marke gesperrt</translation>
</message>
<message>
    <source>carried by prop {}</source>
    <translation>von Stempel {} getragen</translation>
</message>
<message>
    <source>site {}, enforced by your choice</source>
    <translation>Stelle {}, durch Ihre Wahl erzwungen</translation>
</message>
<message>
    <source>site {}, blocked by your choice</source>
    <translation>Stelle {}, durch Ihre Wahl gesperrt</translation>
</message>
<message>
    <source>kept clear by {}</source>
    <translation>freigehalten von {}</translation>
</message>
<message>
    <source>blocked by {}</source>
    <translation>gesperrt von {}</translation>
</message>
<message>
    <source>enforced by zone {}</source>
    <translation>von Zone {} erzwungen</translation>
</message>
<message>
    <source>too small to need support</source>
    <translation>zu klein, um Stützen zu brauchen</translation>
</message>
<message>
    <source>a rounded foot, which sags onto what is right below</source>
    <translation>ein runder Fuß, der auf das sinkt, was gleich darunter ist</translation>
</message>
<message>
    <source>site {}, bridges {:.1f} mm by itself</source>
    <translation>Stelle {}, überbrückt {:.1f} mm von selbst</translation>
</message>
<message>
    <source>site {}, left bare: only your decisions build support</source>
    <translation>Stelle {}, bleibt frei: Nur Ihre Entscheidungen bauen Stützen</translation>
</message>
<message>
    <source>site {}, left bare: only floating starts are supported</source>
    <translation>Stelle {}, bleibt frei: Nur Anfänge in der Luft werden gestützt</translation>
</message>
<message>
    <source>site {}, supported as proposed</source>
    <translation>Stelle {}, gestützt wie vorgeschlagen</translation>
</message>
<message>
    <source>clean face: nothing touches it</source>
    <translation>saubere Fläche: Nichts berührt sie</translation>
</message>
<message>
    <source>no support stands here, by your mark</source>
    <translation>hier steht keine Stütze, durch Ihre Marke</translation>
</message>
<message>
    <source>your mark has nothing to carry here</source>
    <translation>Ihre Marke hat hier nichts zu tragen</translation>
</message>
<message>
    <source>held here by your mark</source>
    <translation>hier gehalten durch Ihre Marke</translation>
</message>
<message>
    <source>marked to be held; supports are off</source>
    <translation>zum Halten markiert; Stützen sind aus</translation>
</message>
<message>
    <source>{}; supports are off</source>
    <translation>{}; Stützen sind aus</translation>
</message>
<message>
    <source>site {}</source>
    <translation>Stelle {}</translation>
</message>
<message>
    <source>your enforce marks</source>
    <translation>Ihre erzwingenden Marken</translation>
</message>
<message>
    <source>the wall you marked</source>
    <translation>die Wand, die Sie markiert haben</translation>
</message>
<message>
    <source>prop {}</source>
    <translation>Stempel {}</translation>
</message>
<message>
    <source>it came with the part, made elsewhere</source>
    <translation>es kam mit dem Teil, anderswo gemacht</translation>
</message>
<message>
    <source>for {}</source>
    <translation>für {}</translation>
</message>
<message>
    <source>There is not enough memory to pack the file. Close something and try again.</source>
    <translation>Zum Packen der Datei reicht der Speicher nicht. Etwas schließen und es noch einmal versuchen.</translation>
</message>
<message>
    <source>{} is not a complete 3MF package. It was probably cut short; export or copy it again.</source>
    <translation>{} ist kein vollständiges 3MF-Paket. Wahrscheinlich wurde es abgeschnitten; noch einmal exportieren oder kopieren.</translation>
</message>
<message>
    <source>{} would unfold to more than 1 GB, which no project or mesh needs. Export it again.</source>
    <translation>{} würde sich zu mehr als 1 GB entfalten, was kein Projekt und kein Netz braucht. Noch einmal exportieren.</translation>
</message>
<message>
    <source>{} is damaged: it ends too early or holds impossible counts.</source>
    <translation>{} ist beschädigt: Es endet zu früh oder enthält unmögliche Zahlen.</translation>
</message>
<message>
    <source>Check the name and that you may read it.</source>
    <translation>Den Namen prüfen, und ob Sie sie lesen dürfen.</translation>
</message>
<message>
    <source>{} could not be opened</source>
    <translation>{} konnte nicht geöffnet werden</translation>
</message>
<message>
    <source>{} is a folder. Choose a file inside it.</source>
    <translation>{} ist ein Ordner. Eine Datei darin wählen.</translation>
</message>
<message>
    <source>{} is not an ordinary file. Choose one that is.</source>
    <translation>{} ist keine gewöhnliche Datei. Eine wählen, die es ist.</translation>
</message>
<message>
    <source>{} could not be read</source>
    <translation>{} konnte nicht gelesen werden</translation>
</message>
<message>
    <source>Choose another place, or make room and check that you may write there.</source>
    <translation>Einen anderen Ort wählen, oder Platz schaffen und prüfen, ob Sie dort schreiben dürfen.</translation>
</message>
<message>
    <source>{} could not be written</source>
    <translation>{} konnte nicht geschrieben werden</translation>
</message>
<message>
    <source>Layer {}: {}</source>
    <translation>Schicht {}: {}</translation>
</message>
<message>
    <source>The gap between parts can be 0 to 1000 mm.</source>
    <translation>Der Abstand zwischen Teilen kann 0 bis 1000 mm sein.</translation>
</message>
<message>
    <source>The plate has no room for {}. Remove a part, or let parts stand nearer together.</source>
    <translation>Auf der Platte ist kein Platz für {}. Ein Teil entfernen, oder Teile enger stehen lassen.</translation>
</message>
<message>
    <source>A stroke needs at least one point.</source>
    <translation>Ein Strich braucht mindestens einen Punkt.</translation>
</message>
<message>
    <source>A stroke can have {} points; this one has {}.</source>
    <translation>Ein Strich kann {} Punkte haben; dieser hat {}.</translation>
</message>
<message>
    <source>A brush radius cannot be {:g} mm. It can be 0.1 to 200 mm.</source>
    <translation>Ein Pinselradius kann nicht {:g} mm sein. Er kann 0,1 bis 200 mm sein.</translation>
</message>
<message>
    <source>{} cannot be {:g}°. It can be 0 to {:g}°.</source>
    <translation>{} kann nicht {:g}° sein. Möglich sind 0 bis {:g}°.</translation>
</message>
<message>
    <source>The eye of a Sight stroke can be at most {:g} mm from the plate's corner.</source>
    <translation>Das Auge eines Sichtstrichs kann höchstens {:g} mm von der Ecke der Platte sein.</translation>
</message>
<message>
    <source>A band can reach from {0:g} to {1:g} mm.</source>
    <translation>Ein Band kann von {0:g} bis {1:g} mm reichen.</translation>
</message>
<message>
    <source>{} can be scaled to between 0.1 % and 100000 % of its size.</source>
    <translation>{} kann auf 0,1 % bis 100000 % seiner Größe gebracht werden.</translation>
</message>
<message>
    <source>{} can be moved at most 10 m from the plate's corner.</source>
    <translation>{} kann höchstens 10 m von der Ecke der Platte verschoben werden.</translation>
</message>
<message>
    <source>{} has to be turned by a number of degrees.</source>
    <translation>{} muss um eine Zahl von Grad gedreht werden.</translation>
</message>
<message>
    <source>{} can go at most {:g} mm from the plate's corner.</source>
    <translation>{} kann höchstens {:g} mm von der Ecke der Platte liegen.</translation>
</message>
<message>
    <source>{} needs a plane with a direction.</source>
    <translation>{} braucht eine Ebene mit einer Richtung.</translation>
</message>
<message>
    <source>{} can have {} characters; this one has {}.</source>
    <translation>{} kann {} Zeichen haben; hier sind es {}.</translation>
</message>
<message>
    <source>A project can have {} parts; this would be {}. Print them in several goes.</source>
    <translation>Ein Projekt kann {} Teile haben; dies wären {}. In mehreren Gängen drucken.</translation>
</message>
<message>
    <source>{} would be {:.0f} m long. A part can measure 10 m at most; scale it down.</source>
    <translation>{} wäre {:.0f} m lang. Ein Teil kann höchstens 10 m messen; verkleinern.</translation>
</message>
<message>
    <source>{} would reach over {:.0f} layers of {:g} mm. A print can have {}; make layers thicker, or the part smaller or lower.</source>
    <translation>{} würde über {:.0f} Schichten von {:g} mm reichen. Ein Druck kann {} haben; die Schichten dicker machen, oder das Teil kleiner oder niedriger.</translation>
</message>
<message>
    <source>A project can have {} variants. Remove one first.</source>
    <translation>Ein Projekt kann {} Varianten haben. Erst eine entfernen.</translation>
</message>
<message>
    <source>A project can have {} versions.</source>
    <translation>Ein Projekt kann {} Fassungen haben.</translation>
</message>
<message>
    <source>A project can have {} zones and props; this would be {}.</source>
    <translation>Ein Projekt kann {} Zonen und Stempel haben; dies wären {}.</translation>
</message>
<message>
    <source>{} has no {} {}; it has {}. They are counted from 0.</source>
    <translation>{} hat {} {} nicht; es hat {}. Gezählt wird von 0.</translation>
</message>
<message>
    <source>{} cannot be set for one tint, site, zone or prop. Structure, branches, gaps, interface, body, graded layers and filaments can.</source>
    <translation>{} kann nicht für einen Ton, eine Stelle, eine Zone oder einen Stempel allein gesetzt werden. Bauart, Äste, Abstände, Trennlage, Körper, abgestufte Schichten und Filamente können es.</translation>
</message>
<message>
    <source>A zone of {} can measure {:g} to {:g} mm along each axis.</source>
    <translation>Eine Zone von {} kann entlang jeder Achse {:g} bis {:g} mm messen.</translation>
</message>
<message>
    <source>A zone needs turns in degrees and a place at most {:g} mm from the plate's corner.</source>
    <translation>Eine Zone braucht Drehungen in Grad und einen Ort höchstens {:g} mm von der Ecke der Platte.</translation>
</message>
<message>
    <source>A zone's lean can be 0 to 89°.</source>
    <translation>Die Neigung einer Zone kann 0 bis 89° sein.</translation>
</message>
<message>
    <source>A zone of any shape needs a mesh file.</source>
    <translation>Eine Zone beliebiger Form braucht eine Netzdatei.</translation>
</message>
<message>
    <source>{} has no surface near {:.1f}, {:.1f}, {:.1f}. Point at a place on it.</source>
    <translation>{} hat keine Fläche nahe {:.1f}, {:.1f}, {:.1f}. Auf einen Ort daran zeigen.</translation>
</message>
<message>
    <source>A prop cannot be {:g} mm wide. It can be {:g} to {:g} mm.</source>
    <translation>Ein Stempel kann nicht {:g} mm breit sein. Möglich sind {:g} bis {:g} mm.</translation>
</message>
<message>
    <source>There is no tint {}. Tints are 0 to {}.</source>
    <translation>Einen Ton {} gibt es nicht. Töne gehen von 0 bis {}.</translation>
</message>
<message>
    <source>stroke</source>
    <translation>Strich</translation>
</message>
<message>
    <source>sight stroke</source>
    <translation>Sichtstrich</translation>
</message>
<message>
    <source>face</source>
    <translation>Fläche</translation>
</message>
<message>
    <source>site</source>
    <translation>Stelle</translation>
</message>
<message>
    <source>band</source>
    <translation>Band</translation>
</message>
<message>
    <source>by lean</source>
    <translation>nach Neigung</translation>
</message>
<message>
    <source>remove support</source>
    <translation>Stützen entfernen</translation>
</message>
<message>
    <source>{} may be touched</source>
    <translation>{} darf berührt werden</translation>
</message>
<message>
    <source>keep a {} clean</source>
    <translation>{} sauber halten</translation>
</message>
<message>
    <source>{} is not seen</source>
    <translation>{} wird nicht gesehen</translation>
</message>
<message>
    <source>a seen {}</source>
    <translation>{} wird gesehen</translation>
</message>
<message>
    <source>enforce {}</source>
    <translation>{} erzwingen</translation>
</message>
<message>
    <source>block {}</source>
    <translation>{} sperren</translation>
</message>
<message>
    <source>clear {}</source>
    <translation>{} löschen</translation>
</message>
<message>
    <source>{} and its twin</source>
    <translation>{} und auf der anderen Seite</translation>
</message>
<message>
    <source>lay the twin</source>
    <translation>auf der anderen Seite anlegen</translation>
</message>
<message>
    <source>settings of tint {}</source>
    <translation>Werte des Tons {}</translation>
</message>
<message>
    <source>clear all marks</source>
    <translation>alle Marken löschen</translation>
</message>
<message>
    <source>clear enforce marks</source>
    <translation>erzwingende Marken löschen</translation>
</message>
<message>
    <source>clear block marks</source>
    <translation>sperrende Marken löschen</translation>
</message>
<message>
    <source>clear clean faces</source>
    <translation>saubere Flächen löschen</translation>
</message>
<message>
    <source>clear seen faces</source>
    <translation>gesehene Flächen löschen</translation>
</message>
<message>
    <source>clear zones</source>
    <translation>Zonen löschen</translation>
</message>
<message>
    <source>clear props</source>
    <translation>Stempel löschen</translation>
</message>
<message>
    <source>clear site choices</source>
    <translation>Wahl der Stellen löschen</translation>
</message>
<message>
    <source>clear support made elsewhere</source>
    <translation>anderswo gemachte Stützen löschen</translation>
</message>
<message>
    <source>add enforcing zone</source>
    <translation>erzwingende Zone dazu</translation>
</message>
<message>
    <source>add blocking zone</source>
    <translation>sperrende Zone dazu</translation>
</message>
<message>
    <source>add keep clear zone</source>
    <translation>freihaltende Zone dazu</translation>
</message>
<message>
    <source>place zone</source>
    <translation>Zone setzen</translation>
</message>
<message>
    <source>name zone</source>
    <translation>Zone benennen</translation>
</message>
<message>
    <source>hide zone</source>
    <translation>Zone verbergen</translation>
</message>
<message>
    <source>show zone</source>
    <translation>Zone zeigen</translation>
</message>
<message>
    <source>lock zone</source>
    <translation>Zone sperren</translation>
</message>
<message>
    <source>unlock zone</source>
    <translation>Zone entsperren</translation>
</message>
<message>
    <source>settings of a zone</source>
    <translation>Werte einer Zone</translation>
</message>
<message>
    <source>lean of a zone</source>
    <translation>Neigung einer Zone</translation>
</message>
<message>
    <source>change zone</source>
    <translation>Zone ändern</translation>
</message>
<message>
    <source>copy zone</source>
    <translation>Zone verdoppeln</translation>
</message>
<message>
    <source>remove zone</source>
    <translation>Zone entfernen</translation>
</message>
<message>
    <source>add prop</source>
    <translation>Stempel dazu</translation>
</message>
<message>
    <source>move prop</source>
    <translation>Stempel verschieben</translation>
</message>
<message>
    <source>prop {:g} mm wide</source>
    <translation>Stempel {:g} mm breit</translation>
</message>
<message>
    <source>settings of a prop</source>
    <translation>Werte eines Stempels</translation>
</message>
<message>
    <source>remove prop</source>
    <translation>Stempel entfernen</translation>
</message>
<message>
    <source>settings of a site</source>
    <translation>Werte einer Stelle</translation>
</message>
<message>
    <source>enforce the site</source>
    <translation>die Stelle erzwingen</translation>
</message>
<message>
    <source>block the site</source>
    <translation>die Stelle sperren</translation>
</message>
<message>
    <source>site as proposed</source>
    <translation>Stelle wie vorgeschlagen</translation>
</message>
<message>
    <source>{} is damaged: {}</source>
    <translation>{} ist beschädigt: {}</translation>
</message>
<message>
    <source>it says "{}" where that means nothing.</source>
    <translation>Es sagt »{}«, wo das nichts bedeutet.</translation>
</message>
<message>
    <source>an id in it is none: "{}".</source>
    <translation>Eine Kennung darin ist keine: »{}«.</translation>
</message>
<message>
    <source>a zone in it has no room.</source>
    <translation>Eine Zone darin hat keinen Raum.</translation>
</message>
<message>
    <source>a decision in it lies nowhere.</source>
    <translation>Eine Entscheidung darin liegt nirgends.</translation>
</message>
<message>
    <source>a zone in it has a lean that is none.</source>
    <translation>Eine Zone darin hat eine Neigung, die keine ist.</translation>
</message>
<message>
    <source>a prop in it has no width.</source>
    <translation>Ein Stempel darin hat keine Breite.</translation>
</message>
<message>
    <source>a tint in it is none.</source>
    <translation>Ein Ton darin ist keiner.</translation>
</message>
<message>
    <source>{} is damaged: {} Use an earlier copy.</source>
    <translation>{} ist beschädigt: {} Eine frühere Kopie nehmen.</translation>
</message>
<message>
    <source>{} is damaged: its list of decisions cannot be understood. Use an earlier copy.</source>
    <translation>{} ist beschädigt: Die Liste der Entscheidungen ist nicht zu verstehen. Eine frühere Kopie nehmen.</translation>
</message>
<message>
    <source>What you do is not kept safe against a crash: {}</source>
    <translation>Was Sie tun, wird nicht gegen einen Absturz gesichert: {}</translation>
</message>
<message>
    <source>{} could not be written: {}. Save the project, or make room.</source>
    <translation>{} konnte nicht geschrieben werden: {}. Das Projekt sichern, oder Platz schaffen.</translation>
</message>
<message>
    <source>{} is no journal of Meek Trellis.</source>
    <translation>{} ist kein Journal von Meek Trellis.</translation>
</message>
<message>
    <source>{} is damaged: {} is missing.</source>
    <translation>{} ist beschädigt: {} fehlt.</translation>
</message>
<message>
    <source>{} holds nothing that can be recovered.</source>
    <translation>{} enthält nichts, was wiederhergestellt werden kann.</translation>
</message>
<message>
    <source>"{}" cannot be {}. It can be {}.</source>
    <translation>»{}« kann nicht {} sein. Möglich ist {}.</translation>
</message>
<message>
    <source>A part is mirrored along x, y or z.</source>
    <translation>Ein Teil wird entlang x, y oder z gespiegelt.</translation>
</message>
<message>
    <source>{} has to have a size in mm, or 0 where it follows in proportion.</source>
    <translation>{} braucht eine Größe in mm, oder 0, wo sie im Verhältnis folgt.</translation>
</message>
<message>
    <source>{} has no extent there that could be scaled.</source>
    <translation>{} hat dort keine Ausdehnung, die geändert werden könnte.</translation>
</message>
<message>
    <source>{} has to be lifted by a number of mm.</source>
    <translation>{} muss um eine Zahl von mm gehoben werden.</translation>
</message>
<message>
    <source>{} has no surface near {:.1f}, {:.1f}, {:.1f}. Point at a face of it.</source>
    <translation>{} hat keine Fläche nahe {:.1f}, {:.1f}, {:.1f}. Auf eine Fläche daran zeigen.</translation>
</message>
<message>
    <source>{} holds for the whole plate; a part cannot have its own.</source>
    <translation>{} gilt für die ganze Platte; ein Teil kann es nicht eigens haben.</translation>
</message>
<message>
    <source>add {}</source>
    <translation>{} dazu</translation>
</message>
<message>
    <source>add parts</source>
    <translation>Teile dazu</translation>
</message>
<message>
    <source>remove part</source>
    <translation>Teil entfernen</translation>
</message>
<message>
    <source>copy part</source>
    <translation>Teil verdoppeln</translation>
</message>
<message>
    <source>mirror along {}</source>
    <translation>entlang {} spiegeln</translation>
</message>
<message>
    <source>spread out</source>
    <translation>verteilen</translation>
</message>
<message>
    <source>lay a face down</source>
    <translation>eine Fläche auflegen</translation>
</message>
<message>
    <source>wrap</source>
    <translation>umhüllen</translation>
</message>
<message>
    <source>mend</source>
    <translation>flicken</translation>
</message>
<message>
    <source>replace the mesh</source>
    <translation>das Netz ersetzen</translation>
</message>
<message>
    <source>scale</source>
    <translation>Größe ändern</translation>
</message>
<message>
    <source>lift</source>
    <translation>heben</translation>
</message>
<message>
    <source>turn</source>
    <translation>drehen</translation>
</message>
<message>
    <source>move</source>
    <translation>verschieben</translation>
</message>
<message>
    <source>drop to plate</source>
    <translation>auf die Platte stellen</translation>
</message>
<message>
    <source>{:l} on</source>
    <translation>{:l} an</translation>
</message>
<message>
    <source>{:l} off</source>
    <translation>{:l} aus</translation>
</message>
<message>
    <source>accept a finding</source>
    <translation>einen Befund hinnehmen</translation>
</message>
<message>
    <source>no longer accept a finding</source>
    <translation>einen Befund nicht mehr hinnehmen</translation>
</message>
<message>
    <source>preset: {:l}</source>
    <translation>Vorgabe: {:l}</translation>
</message>
<message>
    <source>reset {:l}</source>
    <translation>{:l} zurücksetzen</translation>
</message>
<message>
    <source>There is no part {}; the project has {}. Parts are counted from 0.</source>
    <translation>Ein Teil {} gibt es nicht; das Projekt hat {}. Teile werden von 0 gezählt.</translation>
</message>
<message>
    <source>{} is not a Meek Trellis project. Open it as a mesh.</source>
    <translation>{} ist kein Projekt von Meek Trellis. Als Netz öffnen.</translation>
</message>
<message>
    <source>{} is far too large for a set. Choose another file.</source>
    <translation>{} ist viel zu groß für einen Satz. Eine andere Datei wählen.</translation>
</message>
<message>
    <source>{} is damaged: it is no JSON.</source>
    <translation>{} ist beschädigt: Es ist kein JSON.</translation>
</message>
<message>
    <source>There is no {} named {}. There are {}.</source>
    <translation>Unter {1} gibt es kein {0}. Es gibt {2}.</translation>
</message>
<message>
    <source>{} ships with the program. Keep it under another name instead.</source>
    <translation>{} kommt mit dem Programm. Unter einem anderen Namen behalten.</translation>
</message>
<message>
    <source>There is a {} named {} already. Choose another name.</source>
    <translation>Unter {1} gibt es {0} schon. Einen anderen Namen wählen.</translation>
</message>
<message>
    <source>{} ships with the program and stays.</source>
    <translation>{} kommt mit dem Programm und bleibt.</translation>
</message>
<message>
    <source>{} could not be removed: {}.</source>
    <translation>{} konnte nicht entfernt werden: {}.</translation>
</message>
<message>
    <source>There is a {} named {} with other figures. Rename that one, or this one in its file.</source>
    <translation>Unter {1} gibt es {0} mit anderen Zahlen. Jenes umbenennen, oder dieses in seiner Datei.</translation>
</message>
<message>
    <source>The id of a variant cannot be {}.</source>
    <translation>Die Kennung einer Variante kann nicht {} sein.</translation>
</message>
<message>
    <source>{} is damaged: two variants have one id. Use an earlier copy.</source>
    <translation>{} ist beschädigt: Zwei Varianten haben eine Kennung. Eine frühere Kopie nehmen.</translation>
</message>
<message>
    <source>A variant needs a name.</source>
    <translation>Eine Variante braucht einen Namen.</translation>
</message>
<message>
    <source>There is no other variant {}.</source>
    <translation>Eine andere Variante {} gibt es nicht.</translation>
</message>
<message>
    <source>{} has no part {}.</source>
    <translation>{} hat kein Teil {}.</translation>
</message>
<message>
    <source>The only variant there is cannot be removed.</source>
    <translation>Die einzige Variante, die es gibt, kann nicht entfernt werden.</translation>
</message>
<message>
    <source>Say whose decisions are to be taken over: name a part.</source>
    <translation>Sagen, wessen Entscheidungen übernommen werden sollen: ein Teil nennen.</translation>
</message>
<message>
    <source>{} has another mesh in that variant, and decisions lie on its surface.</source>
    <translation>{} hat in jener Variante ein anderes Netz, und Entscheidungen liegen auf seiner Oberfläche.</translation>
</message>
<message>
    <source>The variant in hand has no part {}.</source>
    <translation>Die Variante in der Hand hat kein Teil {}.</translation>
</message>
<message>
    <source>There is no version {}.</source>
    <translation>Eine Fassung {} gibt es nicht.</translation>
</message>
<message>
    <source>variant {}</source>
    <translation>Variante {}</translation>
</message>
<message>
    <source>pin {}</source>
    <translation>{} merken</translation>
</message>
<message>
    <source>take another variant</source>
    <translation>eine andere Variante nehmen</translation>
</message>
<message>
    <source>name a variant</source>
    <translation>eine Variante benennen</translation>
</message>
<message>
    <source>remove a variant</source>
    <translation>eine Variante entfernen</translation>
</message>
<message>
    <source>take over from a variant</source>
    <translation>aus einer Variante übernehmen</translation>
</message>
<message>
    <source>keep a version</source>
    <translation>eine Fassung behalten</translation>
</message>
<message>
    <source>back to version {}</source>
    <translation>zurück zu Fassung {}</translation>
</message>
<message>
    <source>This text asks for no move at all. Choose a file with G-code in it.</source>
    <translation>Dieser Text verlangt keine einzige Bewegung. Eine Datei mit G-Code wählen.</translation>
</message>
<message>
    <source>Line {} of the G-code cannot be followed: {}.</source>
    <translation>Zeile {} des G-Codes ist nicht zu befolgen: {}.</translation>
</message>
<message>
    <source>The machine's G-code opens a {{ and never closes it. Add the }}.</source>
    <translation>Der G-Code der Maschine öffnet ein {{ und schließt es nicht. Das }} ergänzen.</translation>
</message>
<message>
    <source>The machine's G-code asks for {{{}}}, which nobody knows. Correct the name.</source>
    <translation>Der G-Code der Maschine verlangt {{{}}}, was niemand kennt. Den Namen berichtigen.</translation>
</message>
<message>
    <source>Outlines cannot be combined. Mend or wrap the mesh, or change the layer height a little.</source>
    <translation>Umrisse lassen sich nicht verbinden. Das Netz flicken oder umhüllen, oder die Schichthöhe etwas ändern.</translation>
</message>
<message>
    <source>The typeface that ships with the program cannot be read. Install it again.</source>
    <translation>Die Schrift, die mit dem Programm kommt, ist nicht zu lesen. Es neu installieren.</translation>
</message>
<message>
    <source>A strip along lines cannot be drawn. Change the layer height a little.</source>
    <translation>Ein Streifen entlang Linien lässt sich nicht zeichnen. Die Schichthöhe etwas ändern.</translation>
</message>
<message>
    <source>{} is none of the words that are known there.</source>
    <translation>{} ist keines der Wörter, die dort bekannt sind.</translation>
</message>
<message>
    <source>An underside cannot be {}.</source>
    <translation>Eine Unterseite kann nicht {} sein.</translation>
</message>
<message>
    <source>{} is far too large for a note.</source>
    <translation>{} ist viel zu groß für eine Notiz.</translation>
</message>
<message>
    <source>{} is a note of a newer Meek Trellis. Install the newer version to read it.</source>
    <translation>{} ist eine Notiz eines neueren Meek Trellis. Die neuere Fassung installieren, um sie zu lesen.</translation>
</message>
<message>
    <source>It has more outcomes than a print can have.</source>
    <translation>Sie hat mehr Ergebnisse, als ein Druck haben kann.</translation>
</message>
<message>
    <source>Its list of pictures cannot be right.</source>
    <translation>Ihre Liste der Bilder kann nicht stimmen.</translation>
</message>
<message>
    <source>{} is damaged: it cannot be understood as a note.</source>
    <translation>{} ist beschädigt: Es ist als Notiz nicht zu verstehen.</translation>
</message>
<message>
    <source>The folder {} could not be made: {}.</source>
    <translation>Der Ordner {} konnte nicht angelegt werden: {}.</translation>
</message>
<message>
    <source>{} has more than {} MB. Make it smaller.</source>
    <translation>{} hat mehr als {} MB. Verkleinern.</translation>
</message>
<message>
    <source>{} is no PNG and no JPEG picture.</source>
    <translation>{} ist weder ein PNG- noch ein JPEG-Bild.</translation>
</message>
<message>
    <source>There are no notes of {} on {} yet.</source>
    <translation>Über {} auf {} gibt es noch keine Notizen.</translation>
</message>
<message>
    <source>{} is damaged: {} is no JSON.</source>
    <translation>{} ist beschädigt: {} ist kein JSON.</translation>
</message>
<message>
    <source>A fragment has to be at least 0.1 mm large each way.</source>
    <translation>Ein Bruchstück muss in jeder Richtung mindestens 0,1 mm groß sein.</translation>
</message>
<message>
    <source>The box holds nothing of {}. Move it over the part.</source>
    <translation>Der Kasten enthält nichts von {}. Über das Teil schieben.</translation>
</message>
<message>
    <source>The box cuts {} into {} pieces. Make it smaller or larger, so that one is left.</source>
    <translation>Der Kasten schneidet {} in {} Stücke. Kleiner oder größer machen, damit eines bleibt.</translation>
</message>
<message>
    <source>{} rungs do not fit the plate. Make fewer, or larger steps.</source>
    <translation>{} Sprossen passen nicht auf die Platte. Weniger machen, oder größere Schritte.</translation>
</message>
<message>
    <source>There is no ladder {}. There are above, below, beside, spacing, lean, bridge and column.</source>
    <translation>Eine Leiter {} gibt es nicht. Es gibt above, below, beside, spacing, lean, bridge und column.</translation>
</message>
<message>
    <source>A ceiling cannot be {}. It can be flat, sloping or tips.</source>
    <translation>Eine Decke kann nicht {} sein. Möglich sind flat, sloping oder tips.</translation>
</message>
<message>
    <source>A ladder goes up: its last figure cannot be less than its first, and its step has to be more than 0.</source>
    <translation>Eine Leiter geht aufwärts: Ihre letzte Zahl kann nicht kleiner als die erste sein, und ihr Schritt muss größer als 0 sein.</translation>
</message>
<message>
    <source>That would be {:.0f} rungs. A ladder can have {}; make larger steps.</source>
    <translation>Das wären {:.0f} Sprossen. Eine Leiter kann {} haben; größere Schritte machen.</translation>
</message>
<message>
    <source>A rung of a {} ladder cannot be {:g} {}. It can be {:g} to {:g}.</source>
    <translation>Eine Sprosse einer Leiter für {} kann nicht {:g} {} sein. Möglich sind {:g} bis {:g}.</translation>
</message>
<message>
    <source>A part of one's own can be a rung of a ladder of gaps or spacing only.</source>
    <translation>Ein eigenes Teil kann nur Sprosse einer Leiter für Abstände sein.</translation>
</message>
<message>
    <source>January</source>
    <translation>Januar</translation>
</message>
<message>
    <source>February</source>
    <translation>Februar</translation>
</message>
<message>
    <source>March</source>
    <translation>März</translation>
</message>
<message>
    <source>April</source>
    <translation>April</translation>
</message>
<message>
    <source>May</source>
    <translation>Mai</translation>
</message>
<message>
    <source>June</source>
    <translation>Juni</translation>
</message>
<message>
    <source>July</source>
    <translation>Juli</translation>
</message>
<message>
    <source>August</source>
    <translation>August</translation>
</message>
<message>
    <source>September</source>
    <translation>September</translation>
</message>
<message>
    <source>October</source>
    <translation>Oktober</translation>
</message>
<message>
    <source>November</source>
    <translation>November</translation>
</message>
<message>
    <source>December</source>
    <translation>Dezember</translation>
</message>
<message>
    <source>learnt on {} from ladder {}</source>
    <translation>gelernt am {} von Leiter {}</translation>
</message>
<message>
    <source>learnt on {} from print {}</source>
    <translation>gelernt am {} von Druck {}</translation>
</message>
<message>
    <source>{} is a recipe of a newer Meek Trellis. Install the newer version to read it.</source>
    <translation>{} ist ein Rezept eines neueren Meek Trellis. Die neuere Fassung installieren, um es zu lesen.</translation>
</message>
<message>
    <source>{} is no recipe, or it is damaged.</source>
    <translation>{} ist kein Rezept, oder es ist beschädigt.</translation>
</message>
<message>
    <source>{} is no recipe: it is no JSON.</source>
    <translation>{} ist kein Rezept: Es ist kein JSON.</translation>
</message>
<message>
    <source>{} has edges with more than two facets, so it cannot be cut. Mend it in Place first.</source>
    <translation>{} hat Kanten mit mehr als zwei Facetten und kann nicht geschnitten werden. Erst in Aufstellen flicken.</translation>
</message>
<message>
    <source>{} is not closed, so it cannot be cut. Mend it in Place first.</source>
    <translation>{} ist nicht geschlossen und kann nicht geschnitten werden. Erst in Aufstellen flicken.</translation>
</message>
<message>
    <source>{} has shells that are inside out, so it cannot be cut. Mend it in Place first.</source>
    <translation>{} hat umgestülpte Schalen und kann nicht geschnitten werden. Erst in Aufstellen flicken.</translation>
</message>
<message>
    <source>{} has facets that cross one another where it is cut. Mend it in Place first.</source>
    <translation>{} hat, wo es geschnitten wird, Facetten, die sich kreuzen. Erst in Aufstellen flicken.</translation>
</message>
<message>
    <source>{} cannot be cut there: the result would touch itself along an edge. Move the cut a little.</source>
    <translation>{} kann dort nicht geschnitten werden: Das Ergebnis würde sich entlang einer Kante berühren. Den Schnitt etwas verschieben.</translation>
</message>
<message>
    <source>No pipe could be opened. Close some files and try again.</source>
    <translation>Es ließ sich keine Leitung öffnen. Einige Dateien schließen und noch einmal versuchen.</translation>
</message>
<message>
    <source>a coordinate is not a finite number</source>
    <translation>eine Koordinate ist keine endliche Zahl</translation>
</message>
<message>
    <source>{} could not be started, so {} could not be read. Install the program again.</source>
    <translation>{} ließ sich nicht starten, also konnte {} nicht gelesen werden. Das Programm neu installieren.</translation>
</message>
<message>
    <source>{} took longer than two minutes to read and was given up. Export it with fewer facets.</source>
    <translation>{} zu lesen dauerte länger als zwei Minuten und wurde aufgegeben. Mit weniger Facetten exportieren.</translation>
</message>
<message>
    <source>{} broke the reader, so it is probably damaged. Export it again.</source>
    <translation>{} hat den Leser zum Absturz gebracht, ist also wohl beschädigt. Noch einmal exportieren.</translation>
</message>
<message>
    <source>{}: {}. Export it again.</source>
    <translation>{}: {}. Noch einmal exportieren.</translation>
</message>
<message>
    <source>1 hole ({} open edges)</source>
    <translation>1 Loch ({} offene Kanten)</translation>
</message>
<message>
    <source>{} holes ({} open edges)</source>
    <translation>{} Löcher ({} offene Kanten)</translation>
</message>
<message>
    <source>1 facet turned inside out</source>
    <translation>1 umgestülpte Facette</translation>
</message>
<message>
    <source>{} facets turned inside out</source>
    <translation>{} umgestülpte Facetten</translation>
</message>
<message>
    <source>1 facet twice in one place</source>
    <translation>1 Facette doppelt an einem Ort</translation>
</message>
<message>
    <source>{} facets twice in one place</source>
    <translation>{} Facetten doppelt an einem Ort</translation>
</message>
<message>
    <source>{} facets that cross one another</source>
    <translation>{} Facetten, die sich kreuzen</translation>
</message>
<message>
    <source>1 stray speck under {} mm</source>
    <translation>1 loser Splitter unter {} mm</translation>
</message>
<message>
    <source>{} stray specks under {} mm</source>
    <translation>{} lose Splitter unter {} mm</translation>
</message>
<message>
    <source>1 sheet without thickness</source>
    <translation>1 Blatt ohne Dicke</translation>
</message>
<message>
    <source>{} sheets without thickness</source>
    <translation>{} Blätter ohne Dicke</translation>
</message>
<message>
    <source>dropped 1 doubled or flat facet</source>
    <translation>1 doppelte oder flache Facette entfernt</translation>
</message>
<message>
    <source>dropped {} doubled or flat facets</source>
    <translation>{} doppelte oder flache Facetten entfernt</translation>
</message>
<message>
    <source>joined 1 seam edge</source>
    <translation>1 Naht geschlossen</translation>
</message>
<message>
    <source>joined {} seam edges</source>
    <translation>{} Nähte geschlossen</translation>
</message>
<message>
    <source>wrapped everything in a new skin</source>
    <translation>alles in eine neue Haut gehüllt</translation>
</message>
<message>
    <source>dropped 1 stray speck</source>
    <translation>1 loser Splitter entfernt</translation>
</message>
<message>
    <source>dropped {} stray specks</source>
    <translation>{} lose Splitter entfernt</translation>
</message>
<message>
    <source>filled 1 hole</source>
    <translation>1 Loch gefüllt</translation>
</message>
<message>
    <source>filled {} holes</source>
    <translation>{} Löcher gefüllt</translation>
</message>
<message>
    <source>turned 1 facet</source>
    <translation>1 Facette gewendet</translation>
</message>
<message>
    <source>turned {} facets</source>
    <translation>{} Facetten gewendet</translation>
</message>
<message>
    <source>Nothing would be left of this mesh. Export it again from where it was drawn.</source>
    <translation>Von diesem Netz bliebe nichts. Noch einmal dort exportieren, wo es gezeichnet wurde.</translation>
</message>
<message>
    <source>There is not enough memory to get a mesh's surface ready. Use one with fewer facets.</source>
    <translation>Der Speicher reicht nicht, um die Oberfläche eines Netzes vorzubereiten. Eines mit weniger Facetten nehmen.</translation>
</message>
<message>
    <source>{} is empty. Export the mesh again.</source>
    <translation>{} ist leer. Das Netz noch einmal exportieren.</translation>
</message>
<message>
    <source>{} is not a mesh this program reads. Export it as STL, OBJ, PLY, OFF, 3MF or AMF.</source>
    <translation>{} ist kein Netz, das dieses Programm liest. Als STL, OBJ, PLY, OFF, 3MF oder AMF exportieren.</translation>
</message>
<message>
    <source>{} is not a 3MF package, whatever its name says. Export it again as 3MF or STL.</source>
    <translation>{} ist kein 3MF-Paket, was auch der Name sagt. Noch einmal als 3MF oder STL exportieren.</translation>
</message>
<message>
    <source>{} is not {}, whatever its name says. Export it again.</source>
    <translation>{} ist kein {}, was auch der Name sagt. Noch einmal exportieren.</translation>
</message>
<message>
    <source>{} reaches {:.3g} m from its origin, which no printer does. Check its unit and export it again.</source>
    <translation>{} reicht {:.3g} m von seinem Ursprung, was kein Drucker tut. Die Einheit prüfen und noch einmal exportieren.</translation>
</message>
<message>
    <source>{} holds several meshes, and one is wanted. Save the one as a file of its own.</source>
    <translation>{} enthält mehrere Netze, und eines wird gebraucht. Das eine als eigene Datei sichern.</translation>
</message>
<message>
    <source>{}: facet {} has a coordinate that is not a finite number. Export the mesh again.</source>
    <translation>{}: Facette {} hat eine Koordinate, die keine endliche Zahl ist. Das Netz noch einmal exportieren.</translation>
</message>
<message>
    <source>{} ends in the middle of a facet. It was probably cut short; export or copy it again.</source>
    <translation>{} endet mitten in einer Facette. Wahrscheinlich wurde es abgeschnitten; noch einmal exportieren oder kopieren.</translation>
</message>
<message>
    <source>{}: "{}" stands where a coordinate should be. Export the mesh again.</source>
    <translation>{}: »{}« steht, wo eine Koordinate stehen sollte. Das Netz noch einmal exportieren.</translation>
</message>
<message>
    <source>{} promises {} facets and holds {}. It was probably cut short; export or copy it again.</source>
    <translation>{} verspricht {} Facetten und enthält {}. Wahrscheinlich wurde es abgeschnitten; noch einmal exportieren oder kopieren.</translation>
</message>
<message>
    <source>{} is not an STL mesh, whatever its name says. Export it as STL or 3MF.</source>
    <translation>{} ist kein STL-Netz, was auch der Name sagt. Als STL oder 3MF exportieren.</translation>
</message>
<message>
    <source>{} holds no facet with an area. Export the mesh again.</source>
    <translation>{} enthält keine Facette mit einer Fläche. Das Netz noch einmal exportieren.</translation>
</message>
<message>
    <source>This print has {} layers over {} facets and would take about {:.1f} GB of memory and {:.0f} min; this machine has {:.1f} GB. Make the layers thicker, take fewer parts, or a mesh with fewer facets.</source>
    <translation>Dieser Druck hat {} Schichten über {} Facetten und bräuchte etwa {:.1f} GB Speicher und {:.0f} min; diese Maschine hat {:.1f} GB. Die Schichten dicker machen, weniger Teile nehmen, oder ein Netz mit weniger Facetten.</translation>
</message>
<message>
    <source>your {} over {:.0f} mm²</source>
    <translation>Ihr {} über {:.0f} mm²</translation>
</message>
<message>
    <source>enforcer</source>
    <translation>Erzwungenes</translation>
</message>
<message>
    <source>blocker</source>
    <translation>Gesperrtes</translation>
</message>
<message>
    <source>clean face</source>
    <translation>als sauber Markiertes</translation>
</message>
<message>
    <source>seen face</source>
    <translation>als gesehen Markiertes</translation>
</message>
<message>
    <source>your choice to block a site</source>
    <translation>Ihre Wahl, eine Stelle zu sperren</translation>
</message>
<message>
    <source>your choice to enforce a site</source>
    <translation>Ihre Wahl, eine Stelle zu erzwingen</translation>
</message>
<message>
    <source>your zone {}</source>
    <translation>Ihre Zone {}</translation>
</message>
<message>
    <source>your {} {}</source>
    <translation>{} {} von Ihnen</translation>
</message>
<message>
    <source>zone</source>
    <translation>Zone</translation>
</message>
<message>
    <source>prop</source>
    <translation>Stempel</translation>
</message>
<message>
    <source>Under 0.7 layers of gap the interface bonds to the underside: expect pliers, or use a second filament that does not bond.</source>
    <translation>Unter 0,7 Schichten Abstand verbindet sich die Trennlage mit der Unterseite: mit Zange rechnen, oder ein zweites Filament nehmen, das nicht haftet.</translation>
</message>
<message>
    <source>Over 1.6 layers of gap the first lines sag before they rest on anything: expect a rough underside.</source>
    <translation>Über 1,6 Schichten Abstand sinken die ersten Linien, ehe sie aufliegen: mit einer rauen Unterseite rechnen.</translation>
</message>
<message>
    <source>So small a gap below leaves a scar where the support stands.</source>
    <translation>Ein so kleiner Abstand unten hinterlässt eine Narbe, wo die Stützen stehen.</translation>
</message>
<message>
    <source>With so much daylight below, the support may not stick to what it stands on.</source>
    <translation>Bei so viel Luft darunter haften die Stützen vielleicht nicht auf dem, worauf sie stehen.</translation>
</message>
<message>
    <source>Under 0.3 mm beside, support lines may fuse to the walls they pass.</source>
    <translation>Unter 0,3 mm daneben können Linien der Stützen mit Wänden verschmelzen, an denen sie vorbeigehen.</translation>
</message>
<message>
    <source>Over 0.8 mm beside, the rims of what hangs stay uncarried.</source>
    <translation>Über 0,8 mm daneben bleiben die Ränder dessen, was hängt, ungestützt.</translation>
</message>
<message>
    <source>So dense a body costs filament and is hard to break up.</source>
    <translation>Ein so dichter Körper kostet Filament und ist schwer zu brechen.</translation>
</message>
<message>
    <source>Over 3 mm between body lines the interface sags; graded layers help.</source>
    <translation>Über 3 mm zwischen den Linien des Körpers sinkt die Trennlage; abgestufte Schichten helfen.</translation>
</message>
<message>
    <source>A solid interface cannot be told from the part when scraping; a little daylight shows what is left.</source>
    <translation>Eine volle Trennlage ist beim Abkratzen nicht vom Teil zu unterscheiden; etwas Luft zeigt, was noch da ist.</translation>
</message>
<message>
    <source>Over 0.8 mm of daylight the underside gets stripes.</source>
    <translation>Über 0,8 mm Luft bekommt die Unterseite Streifen.</translation>
</message>
<message>
    <source>Without an interface the part rests on the body's few lines.</source>
    <translation>Ohne Trennlage liegt das Teil auf den wenigen Linien des Körpers.</translation>
</message>
<message>
    <source>More than five interface layers cost filament and carry no better.</source>
    <translation>Mehr als fünf Trennschichten kosten Filament und tragen nicht besser.</translation>
</message>
<message>
    <source>Columns under 1 mm break easily; they suit crevices.</source>
    <translation>Säulen unter 1 mm brechen leicht; sie passen in Spalten.</translation>
</message>
<message>
    <source>So large columns reach far past what hangs.</source>
    <translation>So große Säulen reichen weit über das hinaus, was hängt.</translation>
</message>
<message>
    <source>Few machines need help below 30°.</source>
    <translation>Wenige Maschinen brauchen unter 30° Hilfe.</translation>
</message>
<message>
    <source>Over 75° from vertical nearly nothing is proposed: decide every place by hand.</source>
    <translation>Über 75° von der Senkrechten wird fast nichts vorgeschlagen: jeden Ort von Hand entscheiden.</translation>
</message>
<message>
    <source>Graded layers so sparse hardly help.</source>
    <translation>So lichte abgestufte Schichten helfen kaum.</translation>
</message>
<message>
    <source>Graded layers so dense are interface; two thirds is usual.</source>
    <translation>So dichte abgestufte Schichten sind Trennlage; zwei Drittel sind üblich.</translation>
</message>
<message>
    <source>There is no preset called {}. There are {}.</source>
    <translation>Eine Vorgabe {} gibt es nicht. Es gibt {}.</translation>
</message>
<message>
    <source>{} asks for {{{}}}, which nobody knows. There are {}.</source>
    <translation>{} verlangt {{{}}}, was niemand kennt. Es gibt {}.</translation>
</message>
<message>
    <source>There are no sets of the kind {}. There are machine, filament and print.</source>
    <translation>Sätze der Art {} gibt es nicht. Es gibt machine, filament und print.</translation>
</message>
<message>
    <source>settings have to be a JSON object of keys and values.</source>
    <translation>Einstellungen müssen ein JSON-Objekt aus Schlüsseln und Werten sein.</translation>
</message>
<message>
    <source>{} is no figure of a {}.</source>
    <translation>{} ist keine Zahl für {}.</translation>
</message>
<message>
    <source>{} cannot be {}. It can be {}{:g} to {:g}{}.</source>
    <translation>{} kann nicht {} sein. Möglich sind {}{:g} bis {:g}{}.</translation>
</message>
<message>
    <source>{} cannot be {}. It can be true or false.</source>
    <translation>{} kann nicht {} sein. Möglich sind true oder false.</translation>
</message>
<message>
    <source>{} cannot be {}. It can be {}.</source>
    <translation>{} kann nicht {} sein. Möglich sind {}.</translation>
</message>
<message>
    <source>{} has to be text.</source>
    <translation>{} muss Text sein.</translation>
</message>
<message>
    <source>There is no setting called {}. meek-trellis-cli settings lists them all.</source>
    <translation>Eine Einstellung {} gibt es nicht. meek-trellis-cli settings zählt alle auf.</translation>
</message>
<message>
    <source>Settings have to be a JSON object of keys and values.</source>
    <translation>Einstellungen müssen ein JSON-Objekt aus Schlüsseln und Werten sein.</translation>
</message>
<message>
    <source>The beads of this G-code lie {:.0f} mm apart, more than any plate is wide. Check its units and its G92 commands.</source>
    <translation>Die Raupen dieses G-Codes liegen {:.0f} mm auseinander, mehr als eine Platte breit ist. Einheiten und G92-Befehle prüfen.</translation>
</message>
<message>
    <source>It lays no bead at all.</source>
    <translation>Er legt keine einzige Raupe.</translation>
</message>
<message>
    <source>One place begins in mid-air, first at {:.2f} mm height.</source>
    <translation>Ein Ort beginnt in der Luft, der erste bei {:.2f} mm Höhe.</translation>
</message>
<message>
    <source>{} places begin in mid-air, first at {:.2f} mm height.</source>
    <translation>{} Orte beginnen in der Luft, der erste bei {:.2f} mm Höhe.</translation>
</message>
<message>
    <source>{:.1f} mm of the part's lines print on air, {:.2f} %.</source>
    <translation>{:.1f} mm der Linien des Teils drucken auf Luft, {:.2f} %.</translation>
</message>
<message>
    <source>{:.0f} mm of the part's lines sag, with under a third of their width carried.</source>
    <translation>{:.0f} mm der Linien des Teils sinken, unter einem Drittel ihrer Breite getragen.</translation>
</message>
<message>
    <source>{:.0f} mm of support print on air.</source>
    <translation>{:.0f} mm Stützen drucken auf Luft.</translation>
</message>
<message>
    <source>Nothing would print on air.</source>
    <translation>Nichts würde auf Luft drucken.</translation>
</message>
<message>
    <source>A stroke</source>
    <translation>Ein Strich</translation>
</message>
<message>
    <source>A face</source>
    <translation>Eine Fläche</translation>
</message>
<message>
    <source>A site</source>
    <translation>Eine Stelle</translation>
</message>
<message>
    <source>A decision</source>
    <translation>Eine Entscheidung</translation>
</message>
<message>
    <source>A finding</source>
    <translation>Ein Befund</translation>
</message>
<message>
    <source>A crease</source>
    <translation>Ein Knick</translation>
</message>
<message>
    <source>A lean</source>
    <translation>Eine Neigung</translation>
</message>
<message>
    <source>A note</source>
    <translation>Eine Notiz</translation>
</message>
<message>
    <source>The name of a part</source>
    <translation>Der Name eines Teils</translation>
</message>
<message>
    <source>The name of a variant</source>
    <translation>Der Name einer Variante</translation>
</message>
<message>
    <source>The date of a version</source>
    <translation>Das Datum einer Fassung</translation>
</message>
<message>
    <source>The file of a version</source>
    <translation>Die Datei einer Fassung</translation>
</message>
<message>
    <source>nests its components too deeply. Export it again, or as STL.</source>
    <translation>verschachtelt seine Bestandteile zu tief. Noch einmal exportieren, oder als STL.</translation>
</message>
<message>
    <source>is a 3MF without a model to print. Export it again with its build items.</source>
    <translation>ist ein 3MF ohne Modell zum Drucken. Noch einmal mit seinen Teilen exportieren.</translation>
</message>
<message>
    <source>is a zip archive without an AMF in it. Unpack it and open what you want.</source>
    <translation>ist ein Zip-Archiv ohne AMF darin. Auspacken und öffnen, was gewünscht ist.</translation>
</message>
<message>
    <source>is not an AMF this program can read. Export it again, or as STL.</source>
    <translation>ist kein AMF, das dieses Programm lesen kann. Noch einmal exportieren, oder als STL.</translation>
</message>
<message>
    <source>holds no facet. Export it again with its volumes.</source>
    <translation>enthält keine Facette. Noch einmal mit seinen Körpern exportieren.</translation>
</message>
<message>
    <source>nests its constellations too deeply. Export it again, or as STL.</source>
    <translation>verschachtelt seine Anordnungen zu tief. Noch einmal exportieren, oder als STL.</translation>
</message>
<message>
    <source>places an object that it does not have. Export it again.</source>
    <translation>setzt einen Gegenstand, den es nicht hat. Noch einmal exportieren.</translation>
</message>
<message>
    <source>names a vertex that it does not have. Export it again.</source>
    <translation>nennt eine Ecke, die es nicht hat. Noch einmal exportieren.</translation>
</message>
<message>
    <source>is written in UTF-16. Save it as UTF-8, or export it again.</source>
    <translation>ist in UTF-16 geschrieben. Als UTF-8 sichern, oder noch einmal exportieren.</translation>
</message>
<message>
    <source>is not a mesh this program can read as OFF. Export it again, or as STL.</source>
    <translation>ist kein Netz, das dieses Programm als OFF lesen kann. Noch einmal exportieren, oder als STL.</translation>
</message>
<message>
    <source>holds no facet, only points or lines. Export it as a mesh of facets.</source>
    <translation>enthält keine Facette, nur Punkte oder Linien. Als Netz aus Facetten exportieren.</translation>
</message>
<message>
    <source>this is no machine, filament or print; it wants a kind and a name.</source>
    <translation>Das ist weder Maschine noch Filament noch Druck; es braucht eine Art und einen Namen.</translation>
</message>
<message>
    <source>it was written by a newer version. Get that version, or write it anew from there.</source>
    <translation>Es wurde von einer neueren Fassung geschrieben. Jene Fassung besorgen, oder es von dort neu schreiben.</translation>
</message>
<message>
    <source>a name has 1 to {} bytes; this one has {}.</source>
    <translation>Ein Name hat 1 bis {} Bytes; dieser hat {}.</translation>
</message>
</context>
</TS>
