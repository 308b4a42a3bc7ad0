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
</context>
</TS>
