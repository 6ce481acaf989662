<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de_DE">
    <context>
        <name>ExampleNames</name>
        <message>
            <source>%1 becomes %2</source>
            <translation>%1 wird zu %2</translation>
        </message>
        <message>
            <source>%1 becomes %2, which is taken</source>
            <translation>%1 wird zu %2, was vergeben ist</translation>
        </message>
        <message>
            <source>taken</source>
            <translation>vergeben</translation>
        </message>
    </context>
    <context>
        <name>ActionPalette</name>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
        <message>
            <source>Find an action</source>
            <translation>Eine Aktion finden</translation>
        </message>
        <message>
            <source>A few letters of what is to be done</source>
            <translation>Ein paar Buchstaben dessen, was getan werden soll</translation>
        </message>
        <message>
            <source>Actions</source>
            <translation>Aktionen</translation>
        </message>
    </context>
    <context>
        <name>ArrivalsLine</name>
        <message>
            <source>Only these</source>
            <translation>Nur diese</translation>
        </message>
        <message>
            <source>Leaves out what was there before</source>
            <translation>Lässt weg, was vorher da war</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Schließen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln came in here: %1</source>
            <translation>
                <numerusform>%Ln kam hier an: %1</numerusform>
                <numerusform>%Ln kamen hier an: %1</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>BalanceBar</name>
        <message numerus="yes">
            <source>%Ln get new names</source>
            <translation>
                <numerusform>%Ln bekommt einen neuen Namen</numerusform>
                <numerusform>%Ln bekommen neue Namen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln new</source>
            <translation>
                <numerusform>%Ln neu</numerusform>
                <numerusform>%Ln neu</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln overwrite, old ones to the Safe</source>
            <translation>
                <numerusform>%Ln überschreibt, der alte in den Tresor</numerusform>
                <numerusform>%Ln überschreiben, die alten in den Tresor</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln get the nearest free name</source>
            <translation>
                <numerusform>%Ln bekommt den nächsten freien Namen</numerusform>
                <numerusform>%Ln bekommen den nächsten freien Namen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln renamed</source>
            <translation>
                <numerusform>%Ln umbenannt</numerusform>
                <numerusform>%Ln umbenannt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln same, skipped</source>
            <translation>
                <numerusform>%Ln gleich, übersprungen</numerusform>
                <numerusform>%Ln gleich, übersprungen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln keep their names</source>
            <translation>
                <numerusform>%Ln behält seinen Namen</numerusform>
                <numerusform>%Ln behalten ihre Namen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln skipped</source>
            <translation>
                <numerusform>%Ln übersprungen</numerusform>
                <numerusform>%Ln übersprungen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders merge</source>
            <translation>
                <numerusform>%Ln Ordner wird zusammengeführt</numerusform>
                <numerusform>%Ln Ordner werden zusammengeführt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided</source>
            <translation>
                <numerusform>%Ln unentschieden</numerusform>
                <numerusform>%Ln unentschieden</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln cannot be done</source>
            <translation>
                <numerusform>%Ln nicht möglich</numerusform>
                <numerusform>%Ln nicht möglich</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln leave, to the trash</source>
            <translation>
                <numerusform>%Ln geht in den Papierkorb</numerusform>
                <numerusform>%Ln gehen in den Papierkorb</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln leave, to the Safe</source>
            <translation>
                <numerusform>%Ln geht in den Tresor</numerusform>
                <numerusform>%Ln gehen in den Tresor</numerusform>
            </translation>
        </message>
        <message>
            <source>Balance</source>
            <translation>Bilanz</translation>
        </message>
        <message>
            <source>Not possible: %1</source>
            <translation>Nicht möglich: %1</translation>
        </message>
        <message numerus="yes">
            <source>Not possible: %1 (and %Ln more)</source>
            <translation>
                <numerusform>Nicht möglich: %1 (und %Ln weiteres)</numerusform>
                <numerusform>Nicht möglich: %1 (und %Ln weitere)</numerusform>
            </translation>
        </message>
        <message>
            <source>Pick files on the left: click at the edge of a row, or select rows and press Space.</source>
            <translation>Links Dateien greifen: am Rand einer Zeile klicken oder Zeilen wählen und die Leertaste drücken.</translation>
        </message>
        <message>
            <source>Say what the new names are: add a step below.</source>
            <translation>Sagen, wie die neuen Namen sein sollen: unten einen Schritt hinzufügen.</translation>
        </message>
        <message>
            <source>Say where they go: click the destination above, or go there on the left and press “Put here”.</source>
            <translation>Sagen, wohin es geht: oben auf das Ziel klicken, oder links dorthin gehen und „Hierher“ drücken.</translation>
        </message>
        <message>
            <source>facts: %1 of %2</source>
            <translation>Angaben: %1 von %2</translation>
        </message>
        <message>
            <source>reading what may be there already: %1 of %2 files</source>
            <translation>was schon da sein könnte, wird gelesen: %1 von %2 Dateien</translation>
        </message>
        <message>
            <source>reading files of one size to see which are the same…</source>
            <translation>Dateien gleicher Größe werden gelesen, um gleiche zu erkennen …</translation>
        </message>
        <message>
            <source>working it out…</source>
            <translation>wird ausgerechnet …</translation>
        </message>
        <message numerus="yes">
            <source>&lt;b&gt;%1&lt;/b&gt; in %Ln files leave; the undo brings them back</source>
            <translation>
                <numerusform>&lt;b&gt;%1&lt;/b&gt; in %Ln Datei geht; der Rückgang bringt sie wieder</numerusform>
                <numerusform>&lt;b&gt;%1&lt;/b&gt; in %Ln Dateien gehen; der Rückgang bringt sie wieder</numerusform>
            </translation>
        </message>
        <message>
            <source>&lt;b&gt;%1&lt;/b&gt; to pack · %2 free there</source>
            <translation>&lt;b&gt;%1&lt;/b&gt; zu packen · dort %2 frei</translation>
        </message>
        <message>
            <source>needs &lt;b&gt;%1&lt;/b&gt; · %2 free there</source>
            <translation>braucht &lt;b&gt;%1&lt;/b&gt; · dort %2 frei</translation>
        </message>
        <message>
            <source>%1 free there</source>
            <translation>dort %1 frei</translation>
        </message>
        <message>
            <source>The destination cannot keep owners, permissions and extended attributes.</source>
            <translation>Das Ziel kann Besitzer, Rechte und erweiterte Attribute nicht bewahren.</translation>
        </message>
        <message>
            <source> · without owners and permissions</source>
            <translation> · ohne Besitzer und Rechte</translation>
        </message>
    </context>
    <context>
        <name>BatchModel</name>
        <message numerus="yes">
            <source>%Ln files, %1</source>
            <translation>
                <numerusform>%Ln Datei, %1</numerusform>
                <numerusform>%Ln Dateien, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Geändert</translation>
        </message>
        <message>
            <source>From</source>
            <translation>Aus</translation>
        </message>
    </context>
    <context>
        <name>BatchView</name>
        <message>
            <source>What is in hand</source>
            <translation>Was in der Hand ist</translation>
        </message>
        <message>
            <source>Nothing is in hand. Pick files on the left: Space, or a click at the edge of a row.</source>
            <translation>Nichts ist in der Hand. Links Dateien greifen: Leertaste, oder ein Klick am Rand einer Zeile.</translation>
        </message>
        <message>
            <source>Take out</source>
            <translation>Herausnehmen</translation>
        </message>
        <message>
            <source>Empty</source>
            <translation>Leeren</translation>
        </message>
        <message>
            <source>Write to a file…</source>
            <translation>In eine Datei schreiben …</translation>
        </message>
        <message>
            <source>Read a file…</source>
            <translation>Eine Datei lesen …</translation>
        </message>
        <message numerus="yes">
            <source>%Ln files</source>
            <translation>
                <numerusform>%Ln Datei</numerusform>
                <numerusform>%Ln Dateien</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>from %Ln folders</source>
            <translation>
                <numerusform>aus %Ln Ordner</numerusform>
                <numerusform>aus %Ln Ordnern</numerusform>
            </translation>
        </message>
        <message>
            <source>Take out of the batch</source>
            <translation>Aus dem Stapel nehmen</translation>
        </message>
        <message>
            <source>Write the batch to a file</source>
            <translation>Den Stapel in eine Datei schreiben</translation>
        </message>
        <message>
            <source>Paths, one a line (*.txt);;Table with sizes and dates (*.csv)</source>
            <translation>Pfade, einer je Zeile (*.txt);;Tabelle mit Größen und Daten (*.csv)</translation>
        </message>
        <message>
            <source>The batch is written to %1.</source>
            <translation>Der Stapel ist in %1 geschrieben.</translation>
        </message>
        <message>
            <source>Read a batch from a file</source>
            <translation>Einen Stapel aus einer Datei lesen</translation>
        </message>
        <message>
            <source>Read a batch</source>
            <translation>Einen Stapel lesen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln of the paths in the file are not there, and were left out.</source>
            <translation>
                <numerusform>%Ln Pfad in der Datei ist nicht da und blieb weg.</numerusform>
                <numerusform>%Ln Pfade in der Datei sind nicht da und blieben weg.</numerusform>
            </translation>
        </message>
        <message>
            <source>The file names no path: a path begins with “/”, one a line.</source>
            <translation>Die Datei nennt keinen Pfad: ein Pfad beginnt mit „/“, einer je Zeile.</translation>
        </message>
    </context>
    <context>
        <name>Bench</name>
        <message>
            <source>Take up</source>
            <translation>Aufnehmen</translation>
        </message>
        <message>
            <source>Decide</source>
            <translation>Entscheiden</translation>
        </message>
        <message>
            <source>Type a name</source>
            <translation>Einen Namen tippen</translation>
        </message>
        <message>
            <source>Say a fact</source>
            <translation>Eine Angabe sagen</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Greifen</translation>
        </message>
        <message>
            <source>Take out of the batch</source>
            <translation>Aus dem Stapel nehmen</translation>
        </message>
        <message>
            <source>Empty the batch</source>
            <translation>Den Stapel leeren</translation>
        </message>
        <message>
            <source>Take in hand</source>
            <translation>In die Hand nehmen</translation>
        </message>
    </context>
    <context>
        <name>ClipboardLine</name>
        <message>
            <source>Copy here</source>
            <translation>Hierher kopieren</translation>
        </message>
        <message>
            <source>Move here</source>
            <translation>Hierher verschieben</translation>
        </message>
        <message>
            <source>Takes them in hand, with the folder shown as destination; nothing runs yet</source>
            <translation>Nimmt sie in die Hand, mit dem gezeigten Ordner als Ziel; noch läuft nichts</translation>
        </message>
        <message numerus="yes">
            <source>Clipboard: %Ln cut</source>
            <translation>
                <numerusform>Zwischenablage: %Ln ausgeschnitten</numerusform>
                <numerusform>Zwischenablage: %Ln ausgeschnitten</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Clipboard: %Ln copied</source>
            <translation>
                <numerusform>Zwischenablage: %Ln kopiert</numerusform>
                <numerusform>Zwischenablage: %Ln kopiert</numerusform>
            </translation>
        </message>
        <message>
            <source> from %1</source>
            <translation> aus %1</translation>
        </message>
        <message numerus="yes">
            <source> from %Ln folders</source>
            <translation>
                <numerusform> aus %Ln Ordner</numerusform>
                <numerusform> aus %Ln Ordnern</numerusform>
            </translation>
        </message>
        <message>
            <source> at %1</source>
            <translation> in %1</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln gone</source>
            <translation>
                <numerusform> · %Ln fort</numerusform>
                <numerusform> · %Ln fort</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>CollisionsPage</name>
        <message>
            <source>How the groups are cut</source>
            <translation>Wie die Gruppen gebildet werden</translation>
        </message>
        <message>
            <source>Grouped by finding</source>
            <translation>Nach Befund gruppiert</translation>
        </message>
        <message>
            <source>By finding and size</source>
            <translation>Nach Befund und Größe</translation>
        </message>
        <message>
            <source>By finding and folder</source>
            <translation>Nach Befund und Ordner</translation>
        </message>
        <message>
            <source>By finding and kind</source>
            <translation>Nach Befund und Art</translation>
        </message>
        <message>
            <source>Groups of names that are taken</source>
            <translation>Gruppen vergebener Namen</translation>
        </message>
        <message>
            <source>It is the rule of this batch now; the sentence says so.</source>
            <translation>Das ist jetzt die Regel dieses Stapels; der Satz sagt es.</translation>
        </message>
        <message>
            <source>Keep as a job…</source>
            <translation>Als Auftrag behalten …</translation>
        </message>
        <message>
            <source>What is on the bench, with these decisions as its rule, to be done again</source>
            <translation>Was auf der Werkbank liegt, mit diesen Entscheidungen als Regel, um es wieder zu tun</translation>
        </message>
        <message>
            <source>Keys 1, 2, 3 decide, N next</source>
            <translation>Tasten 1, 2, 3 entscheiden, N das nächste</translation>
        </message>
        <message>
            <source>1 skip, 2 overwrite, 3 rename, 0 undecided; N and Shift+N to the next and the last undecided one; F2 the new name;
F7 the next difference; B each picture in the other's place; + and - closer and further</source>
            <translation>1 überspringen, 2 überschreiben, 3 umbenennen, 0 unentschieden; N und Umschalt+N zum nächsten und zum vorigen unentschiedenen; F2 der neue Name;
F7 der nächste Unterschied; B jedes Bild an der Stelle des anderen; + und - näher und ferner</translation>
        </message>
        <message>
            <source>Only names with</source>
            <translation>Nur Namen mit</translation>
        </message>
        <message>
            <source>Only names with… (groups and decisions are of these alone)</source>
            <translation>Nur Namen mit … (Gruppen und Entscheidungen betreffen nur diese)</translation>
        </message>
        <message>
            <source>Pairs of the group</source>
            <translation>Paare der Gruppe</translation>
        </message>
        <message>
            <source>New names…</source>
            <translation>Neue Namen …</translation>
        </message>
        <message>
            <source>No name is taken</source>
            <translation>Kein Name ist vergeben</translation>
        </message>
        <message numerus="yes">
            <source>%Ln meet what is there</source>
            <translation>
                <numerusform>%Ln trifft auf Vorhandenes</numerusform>
                <numerusform>%Ln treffen auf Vorhandenes</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln settled</source>
            <translation>
                <numerusform>%Ln geklärt</numerusform>
                <numerusform>%Ln geklärt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>What collides with nothing, %Ln items, can start now.</source>
            <translation>
                <numerusform>Was mit nichts zusammentrifft, %Ln Element, kann jetzt starten.</numerusform>
                <numerusform>Was mit nichts zusammentrifft, %Ln Elemente, kann jetzt starten.</numerusform>
            </translation>
        </message>
        <message>
            <source>What is undecided stays as it is, on both sides.</source>
            <translation>Unentschiedenes bleibt, wie es ist, auf beiden Seiten.</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Überspringen</translation>
        </message>
        <message>
            <source>Gets it</source>
            <translation>Bekommt ihn</translation>
        </message>
        <message>
            <source>New name</source>
            <translation>Neuer Name</translation>
        </message>
        <message>
            <source>No name that the batch wants is taken.</source>
            <translation>Kein Name, den der Stapel möchte, ist vergeben.</translation>
        </message>
        <message>
            <source>Pick files and choose a destination first.</source>
            <translation>Erst Dateien greifen und ein Ziel wählen.</translation>
        </message>
        <message>
            <source>No name that is taken fits “%1”.</source>
            <translation>Kein vergebener Name passt zu „%1“.</translation>
        </message>
        <message>
            <source>Choose a pair to see the two face to face.</source>
            <translation>Ein Paar wählen, um beide einander gegenüber zu sehen.</translation>
        </message>
        <message>
            <source>Incoming</source>
            <translation>Kommt an</translation>
        </message>
        <message>
            <source>There now</source>
            <translation>Jetzt dort</translation>
        </message>
        <message>
            <source>Also from the batch</source>
            <translation>Auch aus dem Stapel</translation>
        </message>
        <message numerus="yes">
            <source>%Ln selected</source>
            <translation>
                <numerusform>%Ln gewählt</numerusform>
                <numerusform>%Ln gewählt</numerusform>
            </translation>
        </message>
        <message>
            <source>The one there would be renamed to</source>
            <translation>Das Vorhandene hieße dann</translation>
        </message>
        <message>
            <source>Incoming would be kept as</source>
            <translation>Das Ankommende hieße dann</translation>
        </message>
        <message>
            <source>New name of the one that is there</source>
            <translation>Neuer Name des Vorhandenen</translation>
        </message>
        <message>
            <source>New name of the incoming one</source>
            <translation>Neuer Name des Ankommenden</translation>
        </message>
        <message>
            <source>“%1” is no name: it must hold something, and no “/”.</source>
            <translation>„%1“ ist kein Name: er muss etwas enthalten, und kein „/“.</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
        <message>
            <source>By number</source>
            <translation>Mit Nummer</translation>
        </message>
        <message>
            <source>By date of change</source>
            <translation>Mit Änderungsdatum</translation>
        </message>
        <message>
            <source>With the folder that it comes from</source>
            <translation>Mit dem Ordner, aus dem es kommt</translation>
        </message>
        <message>
            <source>By a pattern of my own…</source>
            <translation>Nach eigenem Muster …</translation>
        </message>
        <message>
            <source>Give the new name to the one that is there</source>
            <translation>Den neuen Namen dem Vorhandenen geben</translation>
        </message>
        <message>
            <source>Nothing is undecided.</source>
            <translation>Nichts ist unentschieden.</translation>
        </message>
        <message>
            <source>%1 and %2: %3</source>
            <translation>%1 und %2: %3</translation>
        </message>
        <message>
            <source>Make it a rule: %1</source>
            <translation>Zur Regel machen: %1</translation>
        </message>
        <message>
            <source>From %1 of %2 decisions:
%3</source>
            <translation>Aus %1 von %2 Entscheidungen:
%3</translation>
        </message>
    </context>
    <context>
        <name>ContactSheet</name>
        <message>
            <source>Files in this folder, as small pictures</source>
            <translation>Dateien in diesem Ordner, als kleine Bilder</translation>
        </message>
    </context>
    <context>
        <name>DesktopNotes</name>
        <message>
            <source>Tavlo</source>
            <translation>Tavlo</translation>
        </message>
        <message>
            <source>Files are being copied or moved</source>
            <translation>Dateien werden kopiert oder verschoben</translation>
        </message>
        <message>
            <source>A run is paused</source>
            <translation>Ein Lauf pausiert</translation>
        </message>
        <message numerus="yes">
            <source>A run has ended, and %Ln items need you</source>
            <translation>
                <numerusform>Ein Lauf ist zu Ende, und %Ln Element braucht Sie</numerusform>
                <numerusform>Ein Lauf ist zu Ende, und %Ln Elemente brauchen Sie</numerusform>
            </translation>
        </message>
        <message>
            <source>A run is done</source>
            <translation>Ein Lauf ist fertig</translation>
        </message>
    </context>
    <context>
        <name>DestinationPanel</name>
        <message>
            <source>Choose the destination</source>
            <translation>Das Ziel wählen</translation>
        </message>
        <message>
            <source>Destination folder</source>
            <translation>Zielordner</translation>
        </message>
        <message>
            <source>Type a folder; one that is not there yet will be made</source>
            <translation>Einen Ordner tippen; einer, den es noch nicht gibt, wird angelegt</translation>
        </message>
        <message>
            <source>Put here</source>
            <translation>Hierher</translation>
        </message>
        <message>
            <source>Choose in a dialog…</source>
            <translation>In einem Dialog wählen …</translation>
        </message>
        <message>
            <source>Destination</source>
            <translation>Ziel</translation>
        </message>
        <message>
            <source>Kept at hand</source>
            <translation>Zur Hand</translation>
        </message>
        <message>
            <source>Used before</source>
            <translation>Früher benutzt</translation>
        </message>
        <message>
            <source>Let go</source>
            <translation>Weglegen</translation>
        </message>
        <message>
            <source>Keep at hand</source>
            <translation>Zur Hand behalten</translation>
        </message>
        <message>
            <source>No longer keep %1 at hand</source>
            <translation>%1 nicht mehr zur Hand behalten</translation>
        </message>
        <message>
            <source>Keep %1 at hand</source>
            <translation>%1 zur Hand behalten</translation>
        </message>
        <message>
            <source>%1 is there.</source>
            <translation>%1 ist da.</translation>
        </message>
        <message>
            <source>%1: the run will make its last folder.</source>
            <translation>%1: der Lauf legt den letzten Ordner davon an.</translation>
        </message>
        <message numerus="yes">
            <source>%1: the run will make the last %Ln folders of it.</source>
            <translation>
                <numerusform>%1: der Lauf legt den letzten %Ln Ordner davon an.</numerusform>
                <numerusform>%1: der Lauf legt die letzten %Ln Ordner davon an.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>EditorRow</name>
        <message>
            <source>Drag to another place; or Alt+Up, Alt+Down anywhere in the line</source>
            <translation>An eine andere Stelle ziehen; oder Alt+Auf, Alt+Ab irgendwo in der Zeile</translation>
        </message>
        <message>
            <source>Take out</source>
            <translation>Herausnehmen</translation>
        </message>
        <message>
            <source>%1.</source>
            <translation>%1.</translation>
        </message>
        <message>
            <source>Line %1: %2</source>
            <translation>Zeile %1: %2</translation>
        </message>
    </context>
    <context>
        <name>ErrorWords</name>
        <message>
            <source>is not there</source>
            <translation>ist nicht da</translation>
        </message>
        <message>
            <source>permission denied</source>
            <translation>keine Berechtigung</translation>
        </message>
        <message>
            <source>is not a folder</source>
            <translation>ist kein Ordner</translation>
        </message>
        <message>
            <source>is no folder</source>
            <translation>ist kein Ordner</translation>
        </message>
        <message>
            <source>the disk is full</source>
            <translation>der Datenträger ist voll</translation>
        </message>
        <message>
            <source>the quota is used up</source>
            <translation>das Kontingent ist aufgebraucht</translation>
        </message>
        <message>
            <source>the file system is read-only</source>
            <translation>das Dateisystem ist schreibgeschützt</translation>
        </message>
        <message>
            <source>is larger than a file can be there</source>
            <translation>ist größer, als eine Datei dort sein kann</translation>
        </message>
        <message>
            <source>the name is too long</source>
            <translation>der Name ist zu lang</translation>
        </message>
        <message>
            <source>a number in its name would fall below 0</source>
            <translation>eine Zahl im Namen würde unter 0 fallen</translation>
        </message>
        <message>
            <source>a whole file system cannot be taken</source>
            <translation>ein ganzes Dateisystem kann nicht genommen werden</translation>
        </message>
        <message>
            <source>another folder stands here now</source>
            <translation>hier steht jetzt ein anderer Ordner</translation>
        </message>
        <message>
            <source>are no facts</source>
            <translation>sind keine Angaben</translation>
        </message>
        <message>
            <source>brings down what reads it, or needs too much memory</source>
            <translation>bringt zum Absturz, was es liest, oder braucht zu viel Speicher</translation>
        </message>
        <message>
            <source>brought down what reads it, several times</source>
            <translation>hat mehrmals zum Absturz gebracht, was es liest</translation>
        </message>
        <message>
            <source>cannot be checked: systemd-analyze is not there</source>
            <translation>kann nicht geprüft werden: systemd-analyze fehlt</translation>
        </message>
        <message>
            <source>cannot be done: %1</source>
            <translation>kann nicht ausgeführt werden: %1</translation>
        </message>
        <message>
            <source>cannot be read: %1</source>
            <translation>kann nicht gelesen werden: %1</translation>
        </message>
        <message>
            <source>cannot be loaded: a library of it is missing</source>
            <translation>kann nicht geladen werden: eine seiner Bibliotheken fehlt</translation>
        </message>
        <message>
            <source>cannot be started</source>
            <translation>kann nicht gestartet werden</translation>
        </message>
        <message>
            <source>cannot hold two names of a file</source>
            <translation>kann nicht zwei Namen einer Datei halten</translation>
        </message>
        <message>
            <source>changed after it was read</source>
            <translation>wurde geändert, nachdem es gelesen war</translation>
        </message>
        <message>
            <source>changed after the decision was taken</source>
            <translation>wurde geändert, nachdem entschieden war</translation>
        </message>
        <message>
            <source>changed while it was moved</source>
            <translation>wurde beim Verschieben geändert</translation>
        </message>
        <message>
            <source>changed while it was read</source>
            <translation>wurde beim Lesen geändert</translation>
        </message>
        <message>
            <source>ended before its time</source>
            <translation>endete vorzeitig</translation>
        </message>
        <message>
            <source>folds case, so everything is counted first</source>
            <translation>unterscheidet Groß und Klein nicht, deshalb wird erst alles gezählt</translation>
        </message>
        <message>
            <source>has a name that is no UTF-8, as names in a zip archive are</source>
            <translation>hat einen Namen, der kein UTF-8 ist, wie es Namen in einem Zip-Archiv sind</translation>
        </message>
        <message>
            <source>has no sticky bit</source>
            <translation>hat kein Sticky-Bit</translation>
        </message>
        <message>
            <source>has no trash, and none can be made</source>
            <translation>hat keinen Papierkorb, und keiner kann angelegt werden</translation>
        </message>
        <message>
            <source>has no trash, and none can be made (%1)</source>
            <translation>hat keinen Papierkorb, und keiner kann angelegt werden (%1)</translation>
        </message>
        <message>
            <source>has not come to its end, so it is undone whole or gone on with first</source>
            <translation>ist nicht zu Ende, also wird es ganz zurückgenommen oder erst fortgesetzt</translation>
        </message>
        <message>
            <source>has not ended</source>
            <translation>ist nicht zu Ende</translation>
        </message>
        <message>
            <source>has nothing in it: nothing could be packed</source>
            <translation>hat nichts in sich: nichts konnte gepackt werden</translation>
        </message>
        <message>
            <source>holds a job that cannot be read: %1</source>
            <translation>enthält einen Auftrag, der nicht gelesen werden kann: %1</translation>
        </message>
        <message>
            <source>holds Tavlo's own records, and stays</source>
            <translation>enthält Tavlos eigene Aufzeichnungen, und bleibt</translation>
        </message>
        <message>
            <source>holds versions that were set aside, and stays</source>
            <translation>enthält beiseite gelegte Fassungen, und bleibt</translation>
        </message>
        <message>
            <source>holds a mount of another file system, and stays</source>
            <translation>enthält ein eingehängtes anderes Dateisystem, und bleibt</translation>
        </message>
        <message>
            <source>is a fifo, socket or device, which is left alone</source>
            <translation>ist eine Pipe, ein Socket oder ein Gerät und bleibt unberührt</translation>
        </message>
        <message>
            <source>is a folder into itself: %1 lies in it</source>
            <translation>ist ein Ordner in sich selbst: %1 liegt darin</translation>
        </message>
        <message>
            <source>is a folder, and no archive</source>
            <translation>ist ein Ordner und kein Archiv</translation>
        </message>
        <message>
            <source>is a link that leads back to a folder it lies in</source>
            <translation>ist ein Verweis zurück auf einen Ordner, in dem er liegt</translation>
        </message>
        <message>
            <source>is a link that leads nowhere</source>
            <translation>ist ein Verweis, der ins Leere führt</translation>
        </message>
        <message>
            <source>is a link, which the destination cannot hold</source>
            <translation>ist ein Verweis, den das Ziel nicht halten kann</translation>
        </message>
        <message>
            <source>is a mount of another file system, and stays</source>
            <translation>ist ein eingehängtes anderes Dateisystem, und bleibt</translation>
        </message>
        <message>
            <source>is a mount of another file system, which is not crossed</source>
            <translation>ist ein eingehängtes anderes Dateisystem, das nicht betreten wird</translation>
        </message>
        <message>
            <source>is a name too long for a unit of systemd</source>
            <translation>ist als Name für eine systemd-Unit zu lang</translation>
        </message>
        <message>
            <source>is another folder than the one that was looked at</source>
            <translation>ist ein anderer Ordner als der, der angesehen wurde</translation>
        </message>
        <message>
            <source>is another one than was looked at</source>
            <translation>ist ein anderes als das, das angesehen wurde</translation>
        </message>
        <message>
            <source>is another one than was made</source>
            <translation>ist ein anderes als das, das angelegt wurde</translation>
        </message>
        <message>
            <source>is being read or written by another run, and stays</source>
            <translation>wird gerade von einem anderen Lauf gelesen oder beschrieben, und bleibt</translation>
        </message>
        <message>
            <source>is empty</source>
            <translation>ist leer</translation>
        </message>
        <message>
            <source>is larger than a file can be in the destination</source>
            <translation>ist größer, als eine Datei im Ziel sein kann</translation>
        </message>
        <message>
            <source>is larger than it should be</source>
            <translation>ist größer, als es sein sollte</translation>
        </message>
        <message>
            <source>is longer than it says</source>
            <translation>ist länger, als es angibt</translation>
        </message>
        <message>
            <source>is shorter than it says</source>
            <translation>ist kürzer, als es angibt</translation>
        </message>
        <message>
            <source>is missing</source>
            <translation>fehlt</translation>
        </message>
        <message>
            <source>is missing: Tavlo is not completely installed</source>
            <translation>fehlt: Tavlo ist nicht vollständig installiert</translation>
        </message>
        <message>
            <source>is no archive: it is empty</source>
            <translation>ist kein Archiv: es ist leer</translation>
        </message>
        <message>
            <source>is no calendar expression that systemd knows (systemd.time(7))</source>
            <translation>ist kein Kalenderausdruck, den systemd kennt (systemd.time(7))</translation>
        </message>
        <message>
            <source>is no expression that can be used: %1</source>
            <translation>ist kein brauchbarer Ausdruck: %1</translation>
        </message>
        <message>
            <source>is no file</source>
            <translation>ist keine Datei</translation>
        </message>
        <message>
            <source>is no kind; there are %1</source>
            <translation>ist keine Art; es gibt %1</translation>
        </message>
        <message>
            <source>is no longer a regular file</source>
            <translation>ist keine gewöhnliche Datei mehr</translation>
        </message>
        <message>
            <source>is no longer in the trash</source>
            <translation>ist nicht mehr im Papierkorb</translation>
        </message>
        <message>
            <source>is no longer the Safe's own folder</source>
            <translation>ist nicht mehr der eigene Ordner des Tresors</translation>
        </message>
        <message>
            <source>is no longer the folder that was looked at</source>
            <translation>ist nicht mehr der Ordner, der angesehen wurde</translation>
        </message>
        <message>
            <source>is no longer there</source>
            <translation>ist nicht mehr da</translation>
        </message>
        <message>
            <source>is no regular file</source>
            <translation>ist keine gewöhnliche Datei</translation>
        </message>
        <message>
            <source>is no saved job; tavloctl jobs lists them</source>
            <translation>ist kein gespeicherter Auftrag</translation>
        </message>
        <message>
            <source>is no text file</source>
            <translation>ist keine Textdatei</translation>
        </message>
        <message>
            <source>is no trash of this user</source>
            <translation>ist kein Papierkorb dieses Benutzers</translation>
        </message>
        <message>
            <source>is not a private folder of this user</source>
            <translation>ist kein privater Ordner dieses Benutzers</translation>
        </message>
        <message>
            <source>is not in the archive</source>
            <translation>ist nicht im Archiv</translation>
        </message>
        <message>
            <source>is not known</source>
            <translation>ist nicht bekannt</translation>
        </message>
        <message>
            <source>is not the one that the decision was made about</source>
            <translation>ist nicht das, worüber entschieden wurde</translation>
        </message>
        <message>
            <source>is not the receipt of an undo</source>
            <translation>ist nicht die Quittung einer Rücknahme</translation>
        </message>
        <message>
            <source>is not the version that was set aside</source>
            <translation>ist nicht die Fassung, die beiseite gelegt wurde</translation>
        </message>
        <message>
            <source>is open for writing elsewhere, and stays</source>
            <translation>ist anderswo zum Schreiben geöffnet, und bleibt</translation>
        </message>
        <message>
            <source>is somebody's own folder</source>
            <translation>ist jemandes eigener Ordner</translation>
        </message>
        <message>
            <source>is still going on</source>
            <translation>läuft noch</translation>
        </message>
        <message>
            <source>is the name of a saved job; --replace replaces it</source>
            <translation>ist der Name eines gespeicherten Auftrags</translation>
        </message>
        <message>
            <source>is the root of the whole system, which is not emptied</source>
            <translation>ist die Wurzel des ganzen Systems, die nicht geleert wird</translation>
        </message>
        <message>
            <source>is to be counted first: %1</source>
            <translation>ist erst zu zählen: %1</translation>
        </message>
        <message>
            <source>is told of in words that cannot be read</source>
            <translation>wird in Worten beschrieben, die nicht gelesen werden können</translation>
        </message>
        <message>
            <source>is too large to be read at once</source>
            <translation>ist zu groß, um auf einmal gelesen zu werden</translation>
        </message>
        <message>
            <source>its names are taken in the trash</source>
            <translation>seine Namen sind im Papierkorb vergeben</translation>
        </message>
        <message>
            <source>its old name is taken</source>
            <translation>sein alter Name ist vergeben</translation>
        </message>
        <message>
            <source>its old place is taken</source>
            <translation>sein alter Platz ist vergeben</translation>
        </message>
        <message>
            <source>its other name did not arrive</source>
            <translation>sein anderer Name kam nicht an</translation>
        </message>
        <message>
            <source>its other name is gone</source>
            <translation>sein anderer Name ist weg</translation>
        </message>
        <message>
            <source>its version %1 is no longer in the Safe</source>
            <translation>seine Fassung %1 ist nicht mehr im Tresor</translation>
        </message>
        <message>
            <source>lies in an archive that was changed meanwhile</source>
            <translation>liegt in einem Archiv, das inzwischen geändert wurde</translation>
        </message>
        <message>
            <source>lies in an archive, which is only read</source>
            <translation>liegt in einem Archiv, das nur gelesen wird</translation>
        </message>
        <message>
            <source>lies on a file system that is read-only</source>
            <translation>liegt auf einem schreibgeschützten Dateisystem</translation>
        </message>
        <message>
            <source>lies on a volume that is not there now</source>
            <translation>liegt auf einem Datenträger, der jetzt nicht da ist</translation>
        </message>
        <message>
            <source>line %1 is not NAME: EXTENSION EXTENSION …</source>
            <translation>Zeile %1 ist nicht NAME: ENDUNG ENDUNG …</translation>
        </message>
        <message>
            <source>may not have reached the disk: %1</source>
            <translation>ist vielleicht nicht auf dem Datenträger angekommen: %1</translation>
        </message>
        <message>
            <source>name %1</source>
            <translation>Name: %1</translation>
        </message>
        <message>
            <source>no random number could be had</source>
            <translation>keine Zufallszahl war zu bekommen</translation>
        </message>
        <message>
            <source>nothing was asked for</source>
            <translation>nichts wurde verlangt</translation>
        </message>
        <message>
            <source>reads back otherwise than it was packed: %1</source>
            <translation>liest sich anders zurück, als es gepackt wurde: %1</translation>
        </message>
        <message>
            <source>something else is there now</source>
            <translation>dort ist jetzt etwas anderes</translation>
        </message>
        <message>
            <source>something else stands where its folder was</source>
            <translation>wo sein Ordner war, steht etwas anderes</translation>
        </message>
        <message>
            <source>something else than a folder stands here now</source>
            <translation>hier steht jetzt etwas anderes als ein Ordner</translation>
        </message>
        <message>
            <source>stays in the Safe, as its source does not hold the same bytes now</source>
            <translation>bleibt im Tresor, denn seine Quelle enthält jetzt nicht dieselben Bytes</translation>
        </message>
        <message>
            <source>stays, as its age cannot be told: the clock has been put on or back since</source>
            <translation>bleibt, denn sein Alter ist nicht festzustellen: die Uhr wurde seither verstellt</translation>
        </message>
        <message>
            <source>stays, as the folder that it was could not be made again</source>
            <translation>bleibt, denn sein Ordner konnte nicht wieder angelegt werden</translation>
        </message>
        <message>
            <source>still holds something, and stays</source>
            <translation>enthält noch etwas, und bleibt</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>angehalten</translation>
        </message>
        <message>
            <source>takes far more work than its bytes can need</source>
            <translation>macht weit mehr Arbeit, als seine Bytes brauchen können</translation>
        </message>
        <message>
            <source>takes from a folder that no unit can name</source>
            <translation>nimmt aus einem Ordner, den keine Unit nennen kann</translation>
        </message>
        <message>
            <source>takes from no folder that could be watched</source>
            <translation>nimmt aus keinem Ordner, der beobachtet werden könnte</translation>
        </message>
        <message>
            <source>takes something back, which is tried again by undoing it again</source>
            <translation>nimmt etwas zurück; versucht wird es erneut, indem man es erneut zurücknimmt</translation>
        </message>
        <message>
            <source>has no id left for a run</source>
            <translation>hat keine Nummer für einen Lauf mehr frei</translation>
        </message>
        <message>
            <source>the archive that it goes into could not be made</source>
            <translation>das Archiv, in das es soll, konnte nicht angelegt werden</translation>
        </message>
        <message>
            <source>the archive that it goes into is %1</source>
            <translation>das Archiv, in das es soll, ist %1</translation>
        </message>
        <message>
            <source>the folder it comes in could not be made</source>
            <translation>der Ordner, in dem es kommt, konnte nicht angelegt werden</translation>
        </message>
        <message>
            <source>the folder it comes in could not be packed</source>
            <translation>der Ordner, in dem es kommt, konnte nicht gepackt werden</translation>
        </message>
        <message>
            <source>the folder it comes in is undecided</source>
            <translation>über den Ordner, in dem es kommt, ist nicht entschieden</translation>
        </message>
        <message>
            <source>the list names nothing</source>
            <translation>die Liste nennt nichts</translation>
        </message>
        <message>
            <source>the name is held</source>
            <translation>der Name ist vergeben</translation>
        </message>
        <message>
            <source>the name that it was to have did not come free</source>
            <translation>der Name, den es haben sollte, wurde nicht frei</translation>
        </message>
        <message>
            <source>the name was taken meanwhile</source>
            <translation>der Name wurde inzwischen vergeben</translation>
        </message>
        <message>
            <source>there is no folder here that could hold the Safe</source>
            <translation>hier ist kein Ordner, der den Tresor aufnehmen könnte</translation>
        </message>
        <message>
            <source>there is no such receipt</source>
            <translation>es gibt keine solche Quittung</translation>
        </message>
        <message>
            <source>there is no such version in the Safe</source>
            <translation>es gibt keine solche Fassung im Tresor</translation>
        </message>
        <message>
            <source>took a part of the line only</source>
            <translation>nahm nur einen Teil der Zeile</translation>
        </message>
        <message>
            <source>waits for its volume, which is not there now (%1)</source>
            <translation>wartet auf seinen Datenträger, der jetzt nicht da ist (%1)</translation>
        </message>
        <message>
            <source>wants an expression</source>
            <translation>verlangt einen Ausdruck</translation>
        </message>
        <message>
            <source>wants something to be replaced</source>
            <translation>verlangt etwas, das ersetzt wird</translation>
        </message>
        <message>
            <source>wants the extension without its dot</source>
            <translation>verlangt die Endung ohne ihren Punkt</translation>
        </message>
        <message>
            <source>wants a size such as 500, 20K, 1.5M or 2G, not '%1'</source>
            <translation>verlangt eine Größe wie 500, 20K, 1.5M oder 2G, nicht „%1“</translation>
        </message>
        <message>
            <source>wants a number, not '%1'</source>
            <translation>verlangt eine Zahl, nicht „%1“</translation>
        </message>
        <message>
            <source>wants a date as 2031-05-02, or 2031, not '%1'</source>
            <translation>verlangt ein Datum wie 2031-05-02 oder 2031, nicht „%1“</translation>
        </message>
        <message>
            <source>wants FACT=GLOB, not '%1'</source>
            <translation>verlangt ANGABE=MUSTER, nicht „%1“</translation>
        </message>
        <message>
            <source>was changed in the trash</source>
            <translation>wurde im Papierkorb geändert</translation>
        </message>
        <message>
            <source>was changed since</source>
            <translation>wurde seither geändert</translation>
        </message>
        <message>
            <source>was moved while it was emptied</source>
            <translation>wurde beim Leeren verschoben</translation>
        </message>
        <message>
            <source>was taken away while its folder moved</source>
            <translation>wurde weggenommen, während sein Ordner verschoben wurde</translation>
        </message>
        <message>
            <source>was undone</source>
            <translation>wurde zurückgenommen</translation>
        </message>
        <message>
            <source>was undone already, by %1</source>
            <translation>wurde schon zurückgenommen, durch %1</translation>
        </message>
        <message>
            <source>was undone by %1</source>
            <translation>wurde zurückgenommen durch %1</translation>
        </message>
        <message>
            <source>was written, and has another size</source>
            <translation>wurde geschrieben und hat eine andere Größe</translation>
        </message>
        <message>
            <source>what was written reads back otherwise</source>
            <translation>was geschrieben wurde, liest sich anders zurück</translation>
        </message>
        <message>
            <source>would go into itself</source>
            <translation>ginge in sich selbst</translation>
        </message>
        <message>
            <source>would go onto itself</source>
            <translation>ginge auf sich selbst</translation>
        </message>
        <message>
            <source>would leave the destination, and is of the batch itself</source>
            <translation>ginge aus dem Ziel und gehört selbst zum Stapel</translation>
        </message>
        <message>
            <source>would leave the destination, and the batch comes out of it</source>
            <translation>ginge aus dem Ziel, und der Stapel kommt daraus</translation>
        </message>
        <message>
            <source>would lose %1, which the destination cannot keep, and stays</source>
            <translation>verlöre %1, was das Ziel nicht bewahren kann, und bleibt</translation>
        </message>
        <message>
            <source>would only be emptied: nothing of the batch goes there</source>
            <translation>würde nur geleert: nichts vom Stapel geht dorthin</translation>
        </message>
        <message>
            <source>would overwrite a mount of another file system, or what holds one</source>
            <translation>überschriebe ein eingehängtes anderes Dateisystem oder was eines enthält</translation>
        </message>
        <message>
            <source>would overwrite what holds a mount of another file system</source>
            <translation>überschriebe, was ein eingehängtes anderes Dateisystem enthält</translation>
        </message>
        <message>
            <source>would have no name</source>
            <translation>hätte keinen Namen</translation>
        </message>
        <message>
            <source>would have a name that every folder has</source>
            <translation>hätte einen Namen, den jeder Ordner hat</translation>
        </message>
        <message>
            <source>would have a name with '/', which parts folders</source>
            <translation>hätte einen Namen mit „/“, das Ordner trennt</translation>
        </message>
        <message>
            <source>would have a name with a NUL, which ends it</source>
            <translation>hätte einen Namen mit einem NUL, das ihn beendet</translation>
        </message>
        <message>
            <source>the name is longer than the %1 bytes that the destination can hold</source>
            <translation>der Name ist länger als die %1 Bytes, die das Ziel fassen kann</translation>
        </message>
        <message>
            <source>the destination cannot hold a name with %1</source>
            <translation>das Ziel kann keinen Namen mit %1 halten</translation>
        </message>
        <message>
            <source>the destination cannot hold a name with a control character</source>
            <translation>das Ziel kann keinen Namen mit einem Steuerzeichen halten</translation>
        </message>
        <message>
            <source>the destination cannot hold a name that ends in a dot or a space</source>
            <translation>das Ziel kann keinen Namen halten, der mit Punkt oder Leerzeichen endet</translation>
        </message>
        <message>
            <source>the destination cannot hold a name that is not valid UTF-8</source>
            <translation>das Ziel kann keinen Namen halten, der kein gültiges UTF-8 ist</translation>
        </message>
        <message>
            <source>has too little room: %1 bytes are needed, %2 are free</source>
            <translation>hat zu wenig Platz: %1 Bytes werden gebraucht, %2 sind frei</translation>
        </message>
        <message>
            <source>has too little room: %1 new entries are needed, %2 are free</source>
            <translation>hat zu wenig Platz: %1 neue Einträge werden gebraucht, %2 sind frei</translation>
        </message>
        <message>
            <source>knows no fact '%1'; there are %2</source>
            <translation>kennt keine Angabe „%1“; es gibt %2</translation>
        </message>
        <message>
            <source>has no tab in line %1</source>
            <translation>hat in Zeile %1 keinen Tabulator</translation>
        </message>
        <message>
            <source>gives '%1' two new names, in lines %2</source>
            <translation>gibt „%1“ zwei neue Namen, in den Zeilen %2</translation>
        </message>
        <message>
            <source>line %1: nothing is named '%2'</source>
            <translation>Zeile %1: nichts heißt „%2“</translation>
        </message>
        <message>
            <source>line %1: nothing fits '%2'</source>
            <translation>Zeile %1: nichts passt auf „%2“</translation>
        </message>
        <message>
            <source>names no archive that can be made: a name and .zip, .tar, .tar.gz, .tgz, .tar.xz or .tar.zst</source>
            <translation>nennt kein Archiv, das angelegt werden kann: ein Name und .zip, .tar, .tar.gz, .tgz, .tar.xz oder .tar.zst</translation>
        </message>
        <message>
            <source>a move is planned whole</source>
            <translation>Verschieben wird im Ganzen geplant</translation>
        </message>
        <message>
            <source>folders are chosen by what is in them</source>
            <translation>Ordner werden nach ihrem Inhalt gewählt</translation>
        </message>
        <message>
            <source>links are followed</source>
            <translation>Verweisen wird gefolgt</translation>
        </message>
        <message>
            <source>a link is followed</source>
            <translation>einem Verweis wird gefolgt</translation>
        </message>
        <message>
            <source>something is to leave the destination</source>
            <translation>etwas soll aus dem Ziel gehen</translation>
        </message>
        <message>
            <source>new names are given</source>
            <translation>neue Namen werden vergeben</translation>
        </message>
        <message>
            <source>what is there under other names is looked for</source>
            <translation>gesucht wird, was unter anderen Namen da ist</translation>
        </message>
        <message>
            <source>files are sorted by what they tell</source>
            <translation>Dateien werden nach ihren Angaben sortiert</translation>
        </message>
        <message>
            <source>several could want one name</source>
            <translation>mehrere könnten einen Namen wollen</translation>
        </message>
        <message>
            <source>subfolders are left out by what is in them</source>
            <translation>Unterordner werden nach ihrem Inhalt ausgelassen</translation>
        </message>
        <message>
            <source>folders on the way are kept</source>
            <translation>Ordner auf dem Weg werden behalten</translation>
        </message>
        <message>
            <source>many things were picked one by one</source>
            <translation>vieles wurde einzeln gewählt</translation>
        </message>
        <message>
            <source>'%1' is no fact of a file</source>
            <translation>„%1“ ist keine Angabe einer Datei</translation>
        </message>
        <message>
            <source>has a '}' that closes nothing, at character %1</source>
            <translation>hat bei Zeichen %1 eine „}“, die nichts schließt</translation>
        </message>
        <message>
            <source>has an empty level, at character %1</source>
            <translation>hat bei Zeichen %1 eine leere Ebene</translation>
        </message>
        <message>
            <source>has an open brace, at character %1</source>
            <translation>hat bei Zeichen %1 eine offene Klammer</translation>
        </message>
        <message>
            <source>knows no format '%1' of %2</source>
            <translation>kennt keine Schreibweise „%1“ von %2</translation>
        </message>
        <message>
            <source>%1 (at character %2)</source>
            <translation>%1 (bei Zeichen %2)</translation>
        </message>
    </context>
    <context>
        <name>FaceToFace</name>
        <message>
            <source>%1 (%2 bytes)</source>
            <translation>%1 (%2 Byte)</translation>
        </message>
        <message>
            <source>a folder</source>
            <translation>ein Ordner</translation>
        </message>
        <message>
            <source>a link</source>
            <translation>ein Link</translation>
        </message>
        <message>
            <source>a special file</source>
            <translation>eine besondere Datei</translation>
        </message>
        <message>
            <source>looking…</source>
            <translation>wird angesehen …</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Geändert</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Permissions</source>
            <translation>Rechte</translation>
        </message>
        <message>
            <source>%1 newer</source>
            <translation>%1 neuer</translation>
        </message>
        <message>
            <source>%1 larger</source>
            <translation>%1 größer</translation>
        </message>
        <message>
            <source>No difference in what was read.</source>
            <translation>Kein Unterschied in dem, was gelesen wurde.</translation>
        </message>
        <message>
            <source>The same bytes.</source>
            <translation>Dieselben Bytes.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln cells differ</source>
            <translation>
                <numerusform>%Ln Zelle ist anders</numerusform>
                <numerusform>%Ln Zellen sind anders</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln lines differ; F7 goes to the next</source>
            <translation>
                <numerusform>%Ln Zeile ist anders; F7 geht zur nächsten</numerusform>
                <numerusform>%Ln Zeilen sind anders; F7 geht zur nächsten</numerusform>
            </translation>
        </message>
        <message>
            <source>The bytes differ from byte %1 on.</source>
            <translation>Die Bytes unterscheiden sich ab Byte %1.</translation>
        </message>
        <message>
            <source>The lines are the same; how they end, or how they are coded, differs.</source>
            <translation>Die Zeilen sind gleich; wie sie enden oder kodiert sind, ist anders.</translation>
        </message>
        <message>
            <source>One of the two is not a file: there is nothing to set against each other.</source>
            <translation>Eines der beiden ist keine Datei: es gibt nichts gegenüberzustellen.</translation>
        </message>
        <message>
            <source>There is nothing to see of files of this kind.</source>
            <translation>Bei Dateien dieser Art gibt es nichts zu sehen.</translation>
        </message>
    </context>
    <context>
        <name>Facts</name>
        <message>
            <source>%1 taken</source>
            <translation>%1 der Aufnahme</translation>
        </message>
        <message>
            <source>%1 begun</source>
            <translation>%1 des Beginns</translation>
        </message>
        <message>
            <source>%1 of change</source>
            <translation>%1 der Änderung</translation>
        </message>
        <message>
            <source>name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>extension</source>
            <translation>Endung</translation>
        </message>
        <message>
            <source>first letter</source>
            <translation>Anfangsbuchstabe</translation>
        </message>
        <message>
            <source>kind</source>
            <translation>Art</translation>
        </message>
        <message>
            <source>folder it lies in</source>
            <translation>Ordner, in dem es liegt</translation>
        </message>
        <message>
            <source>its own folders</source>
            <translation>seine eigenen Ordner</translation>
        </message>
        <message>
            <source>date of change</source>
            <translation>Änderungsdatum</translation>
        </message>
        <message>
            <source>day of change</source>
            <translation>Tag der Änderung</translation>
        </message>
        <message>
            <source>time of change</source>
            <translation>Uhrzeit der Änderung</translation>
        </message>
        <message>
            <source>owner</source>
            <translation>Besitzer</translation>
        </message>
        <message>
            <source>size in bytes</source>
            <translation>Größe in Byte</translation>
        </message>
        <message>
            <source>last number in the name</source>
            <translation>letzte Zahl im Namen</translation>
        </message>
        <message>
            <source>counter</source>
            <translation>Zähler</translation>
        </message>
        <message>
            <source>date of the run</source>
            <translation>Datum des Laufs</translation>
        </message>
        <message>
            <source>date taken</source>
            <translation>Aufnahmedatum</translation>
        </message>
        <message>
            <source>camera</source>
            <translation>Kamera</translation>
        </message>
        <message>
            <source>country</source>
            <translation>Land</translation>
        </message>
        <message>
            <source>town</source>
            <translation>Ort</translation>
        </message>
        <message>
            <source>width in pixels</source>
            <translation>Breite in Pixeln</translation>
        </message>
        <message>
            <source>height in pixels</source>
            <translation>Höhe in Pixeln</translation>
        </message>
        <message>
            <source>artist</source>
            <translation>Interpret</translation>
        </message>
        <message>
            <source>album</source>
            <translation>Album</translation>
        </message>
        <message>
            <source>title</source>
            <translation>Titel</translation>
        </message>
        <message>
            <source>genre</source>
            <translation>Genre</translation>
        </message>
        <message>
            <source>year of the recording</source>
            <translation>Jahr der Aufnahme</translation>
        </message>
        <message>
            <source>track</source>
            <translation>Stück</translation>
        </message>
        <message>
            <source>author</source>
            <translation>Autor</translation>
        </message>
        <message>
            <source>company</source>
            <translation>Firma</translation>
        </message>
        <message>
            <source>subject</source>
            <translation>Thema</translation>
        </message>
        <message>
            <source>date begun</source>
            <translation>Datum des Beginns</translation>
        </message>
        <message>
            <source>Of any file</source>
            <translation>Von jeder Datei</translation>
        </message>
        <message>
            <source>Of pictures</source>
            <translation>Von Bildern</translation>
        </message>
        <message>
            <source>Of sound</source>
            <translation>Von Tönen</translation>
        </message>
        <message>
            <source>Of documents</source>
            <translation>Von Dokumenten</translation>
        </message>
        <message>
            <source>year</source>
            <translation>Jahr</translation>
        </message>
        <message>
            <source>year and month</source>
            <translation>Jahr und Monat</translation>
        </message>
        <message>
            <source>day</source>
            <translation>Tag</translation>
        </message>
        <message>
            <source>quarter</source>
            <translation>Quartal</translation>
        </message>
        <message>
            <source>week</source>
            <translation>Woche</translation>
        </message>
        <message>
            <source>month alone</source>
            <translation>Monat allein</translation>
        </message>
        <message>
            <source>%1, or else %2</source>
            <translation>%1, sonst %2</translation>
        </message>
        <message>
            <source>, then </source>
            <translation>, dann </translation>
        </message>
    </context>
    <context>
        <name>FilterBar</name>
        <message>
            <source>Name filter</source>
            <translation>Namensfilter</translation>
        </message>
        <message>
            <source>Also below</source>
            <translation>Auch darunter</translation>
        </message>
        <message>
            <source>List all that fits in the folders below this one, too</source>
            <translation>Auch alles Passende in den Ordnern unter diesem auflisten</translation>
        </message>
        <message>
            <source>Clear</source>
            <translation>Leeren</translation>
        </message>
        <message>
            <source>Shows everything again (Esc)</source>
            <translation>Zeigt wieder alles (Esc)</translation>
        </message>
        <message>
            <source>Clear the filter</source>
            <translation>Den Filter leeren</translation>
        </message>
        <message>
            <source>One part of the filter cannot be read, and is left out for now.</source>
            <translation>Ein Teil des Filters ist nicht lesbar und bleibt vorerst weg.</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
        <message>
            <source>Kind</source>
            <translation>Art</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Geändert</translation>
        </message>
        <message>
            <source>Number</source>
            <translation>Zahl</translation>
        </message>
        <message>
            <source>expression</source>
            <translation>Ausdruck</translation>
        </message>
        <message>
            <source>case counts</source>
            <translation>Groß/klein zählt</translation>
        </message>
        <message>
            <source>my own</source>
            <translation>meine eigenen</translation>
        </message>
        <message>
            <source>owner %1</source>
            <translation>Besitzer %1</translation>
        </message>
        <message>
            <source>not below %1</source>
            <translation>nicht unter %1</translation>
        </message>
        <message>
            <source>More</source>
            <translation>Mehr</translation>
        </message>
        <message>
            <source>Expression, as ^permit-\d+ (RE2)</source>
            <translation>Ausdruck, wie ^permit-\d+ (RE2)</translation>
        </message>
        <message>
            <source>Show names with… (words, *.pdf, -draft leaves out)</source>
            <translation>Namen mit … (Wörter, *.pdf, -entwurf lässt weg)</translation>
        </message>
        <message>
            <source>Any kind</source>
            <translation>Jede Art</translation>
        </message>
        <message>
            <source>Which extensions make which kind…</source>
            <translation>Welche Endungen welche Art ergeben …</translation>
        </message>
        <message>
            <source>Any size</source>
            <translation>Jede Größe</translation>
        </message>
        <message>
            <source>Empty files</source>
            <translation>Leere Dateien</translation>
        </message>
        <message>
            <source>Over 1 MB</source>
            <translation>Über 1 MB</translation>
        </message>
        <message>
            <source>Over 100 MB</source>
            <translation>Über 100 MB</translation>
        </message>
        <message>
            <source>More than</source>
            <translation>Mehr als</translation>
        </message>
        <message>
            <source>20K, 1.5M, 2G</source>
            <translation>20K, 1.5M, 2G</translation>
        </message>
        <message>
            <source>Less than</source>
            <translation>Weniger als</translation>
        </message>
        <message>
            <source>Since</source>
            <translation>Seit</translation>
        </message>
        <message>
            <source>2031-05-02, or 30d</source>
            <translation>2031-05-02, oder 30d</translation>
        </message>
        <message>
            <source>Until</source>
            <translation>Bis</translation>
        </message>
        <message>
            <source>2031-05-31</source>
            <translation>2031-05-31</translation>
        </message>
        <message>
            <source>Any name</source>
            <translation>Jeder Name</translation>
        </message>
        <message>
            <source>Odd: the last number in the name</source>
            <translation>Ungerade: die letzte Zahl im Namen</translation>
        </message>
        <message>
            <source>Even: the last number in the name</source>
            <translation>Gerade: die letzte Zahl im Namen</translation>
        </message>
        <message>
            <source>A number from</source>
            <translation>Eine Zahl von</translation>
        </message>
        <message>
            <source>120</source>
            <translation>120</translation>
        </message>
        <message>
            <source>up to</source>
            <translation>bis</translation>
        </message>
        <message>
            <source>135</source>
            <translation>135</translation>
        </message>
        <message>
            <source>Leave out folders</source>
            <translation>Ordner weglassen</translation>
        </message>
        <message>
            <source>Names of folders, with commas between (* and ? fit anything):</source>
            <translation>Namen von Ordnern, durch Komma getrennt (* und ? passen auf alles):</translation>
        </message>
        <message>
            <source>Upper and lower case count</source>
            <translation>Groß- und Kleinschreibung zählt</translation>
        </message>
        <message>
            <source>Read the line as an expression (RE2)</source>
            <translation>Die Zeile als Ausdruck lesen (RE2)</translation>
        </message>
        <message>
            <source>Nothing below folders named…</source>
            <translation>Nichts unter Ordnern namens …</translation>
        </message>
        <message>
            <source>Owner</source>
            <translation>Besitzer</translation>
        </message>
        <message>
            <source>Anybody</source>
            <translation>Irgendwer</translation>
        </message>
        <message>
            <source>My own</source>
            <translation>Meine eigenen</translation>
        </message>
        <message>
            <source>Use “%1”</source>
            <translation>„%1“ benutzen</translation>
        </message>
        <message>
            <source>Keep this filter under a name…</source>
            <translation>Diesen Filter unter einem Namen behalten …</translation>
        </message>
        <message>
            <source>Forget</source>
            <translation>Vergessen</translation>
        </message>
        <message>
            <source>Keep this filter</source>
            <translation>Diesen Filter behalten</translation>
        </message>
        <message>
            <source>Name:</source>
            <translation>Name:</translation>
        </message>
    </context>
    <context>
        <name>FilterState</name>
        <message>
            <source>at any time</source>
            <translation>jederzeit</translation>
        </message>
        <message>
            <source>today</source>
            <translation>heute</translation>
        </message>
        <message>
            <source>yesterday</source>
            <translation>gestern</translation>
        </message>
        <message>
            <source>this week</source>
            <translation>diese Woche</translation>
        </message>
        <message>
            <source>last week</source>
            <translation>letzte Woche</translation>
        </message>
        <message>
            <source>this month</source>
            <translation>diesen Monat</translation>
        </message>
        <message>
            <source>last month</source>
            <translation>letzten Monat</translation>
        </message>
        <message>
            <source>this year</source>
            <translation>dieses Jahr</translation>
        </message>
        <message>
            <source>between two dates</source>
            <translation>zwischen zwei Tagen</translation>
        </message>
        <message>
            <source>empty</source>
            <translation>leer</translation>
        </message>
        <message>
            <source>%1 to %2</source>
            <translation>%1 bis %2</translation>
        </message>
        <message>
            <source>over %1</source>
            <translation>über %1</translation>
        </message>
        <message>
            <source>under %1</source>
            <translation>unter %1</translation>
        </message>
        <message>
            <source>since %1</source>
            <translation>seit %1</translation>
        </message>
        <message>
            <source>until %1</source>
            <translation>bis %1</translation>
        </message>
        <message>
            <source>from %1</source>
            <translation>ab %1</translation>
        </message>
        <message>
            <source>up to %1</source>
            <translation>bis %1</translation>
        </message>
        <message>
            <source>odd</source>
            <translation>ungerade</translation>
        </message>
        <message>
            <source>even</source>
            <translation>gerade</translation>
        </message>
    </context>
    <context>
        <name>FolderLevelRow</name>
        <message>
            <source>Take this level out</source>
            <translation>Diese Ebene herausnehmen</translation>
        </message>
        <message>
            <source>Text with facts in braces</source>
            <translation>Text mit Angaben in Klammern</translation>
        </message>
        <message>
            <source>text with facts in braces: {kind}-{taken:%Y}</source>
            <translation>Text mit Angaben in Klammern: {kind}-{taken:%Y}</translation>
        </message>
        <message>
            <source>What the folder is named by</source>
            <translation>Wonach der Ordner heißt</translation>
        </message>
        <message>
            <source>How the date is written</source>
            <translation>Wie das Datum geschrieben wird</translation>
        </message>
        <message>
            <source>The fact that stands in where that one is not known</source>
            <translation>Die Angabe, die einspringt, wo jene nicht bekannt ist</translation>
        </message>
        <message>
            <source>nothing else</source>
            <translation>nichts sonst</translation>
        </message>
        <message>
            <source>or else</source>
            <translation>sonst</translation>
        </message>
        <message>
            <source>The folder where it is not known</source>
            <translation>Der Ordner, wo es nicht bekannt ist</translation>
        </message>
        <message>
            <source>%1 of %2: %3</source>
            <translation>%1 von %2: %3</translation>
        </message>
        <message>
            <source>none knows it</source>
            <translation>keine kennt sie</translation>
        </message>
    </context>
    <context>
        <name>FolderLevelsPanel</name>
        <message>
            <source>Pictures: year, then town</source>
            <translation>Bilder: Jahr, dann Ort</translation>
        </message>
        <message>
            <source>Pictures: year, then day</source>
            <translation>Bilder: Jahr, dann Tag</translation>
        </message>
        <message>
            <source>Sound: artist, then album</source>
            <translation>Töne: Interpret, dann Album</translation>
        </message>
        <message>
            <source>Documents: company, then author</source>
            <translation>Dokumente: Firma, dann Autor</translation>
        </message>
        <message>
            <source>Anything: kind, then first letter</source>
            <translation>Alles: Art, dann Anfangsbuchstabe</translation>
        </message>
        <message>
            <source>Anything: year and month of change</source>
            <translation>Alles: Jahr und Monat der Änderung</translation>
        </message>
        <message>
            <source>Folders by what files tell, level by level</source>
            <translation>Ordner nach dem, was Dateien sagen, Ebene für Ebene</translation>
        </message>
        <message>
            <source>Add a level</source>
            <translation>Eine Ebene hinzufügen</translation>
        </message>
        <message>
            <source>Ready and kept ones</source>
            <translation>Fertige und behaltene</translation>
        </message>
        <message>
            <source>Do not sort</source>
            <translation>Nicht sortieren</translation>
        </message>
        <message>
            <source>Files are being read: %1 of %2</source>
            <translation>Dateien werden gelesen: %1 von %2</translation>
        </message>
        <message>
            <source>  ·  %1 of %2: %3</source>
            <translation>  ·  %1 von %2: %3</translation>
        </message>
        <message>
            <source>Text with facts in braces</source>
            <translation>Text mit Angaben in Klammern</translation>
        </message>
        <message>
            <source>Keep these under a name…</source>
            <translation>Diese unter einem Namen behalten …</translation>
        </message>
        <message>
            <source>Keep these levels</source>
            <translation>Diese Ebenen behalten</translation>
        </message>
        <message>
            <source>Kept as %1.</source>
            <translation>Als %1 behalten.</translation>
        </message>
        <message>
            <source>Levels of folders</source>
            <translation>Ebenen der Ordner</translation>
        </message>
    </context>
    <context>
        <name>FolderModel</name>
        <message>
            <source>no files</source>
            <translation>keine Dateien</translation>
        </message>
        <message numerus="yes">
            <source>%Ln files, %1</source>
            <translation>
                <numerusform>%Ln Datei, %1</numerusform>
                <numerusform>%Ln Dateien, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>here</source>
            <translation>hier</translation>
        </message>
        <message>
            <source>%1, came in</source>
            <translation>%1, neu angekommen</translation>
        </message>
        <message>
            <source>%1, in the batch</source>
            <translation>%1, im Stapel</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Kind</source>
            <translation>Art</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Geändert</translation>
        </message>
        <message>
            <source>Owner</source>
            <translation>Besitzer</translation>
        </message>
        <message>
            <source>Permissions</source>
            <translation>Rechte</translation>
        </message>
        <message>
            <source>Folder</source>
            <translation>Ordner</translation>
        </message>
    </context>
    <context>
        <name>GatheringSide</name>
        <message>
            <source>List</source>
            <translation>Liste</translation>
        </message>
        <message>
            <source>Pictures</source>
            <translation>Bilder</translation>
        </message>
        <message>
            <source>The folder as small pictures, to pick by eye (F9)</source>
            <translation>Der Ordner als kleine Bilder, zum Wählen nach Augenschein (F9)</translation>
        </message>
        <message>
            <source>Pick what a list names</source>
            <translation>Greifen, was eine Liste nennt</translation>
        </message>
        <message>
            <source>Up</source>
            <translation>Hinauf</translation>
        </message>
        <message>
            <source>The folder above (Alt+Up)</source>
            <translation>Der Ordner darüber (Alt+Auf)</translation>
        </message>
        <message>
            <source>Places</source>
            <translation>Orte</translation>
        </message>
        <message>
            <source>Put here</source>
            <translation>Hierher</translation>
        </message>
        <message>
            <source>Make the folder shown the destination (Ctrl+Shift+D)</source>
            <translation>Den gezeigten Ordner zum Ziel machen (Strg+Umschalt+D)</translation>
        </message>
        <message>
            <source>Paste a list…</source>
            <translation>Liste einfügen …</translation>
        </message>
        <message>
            <source>Pick what a list from a mail, a sheet or a file names (Ctrl+Shift+V)</source>
            <translation>Greifen, was eine Liste aus einer Mail, einer Tabelle oder einer Datei nennt (Strg+Umschalt+V)</translation>
        </message>
        <message>
            <source>Files in this folder</source>
            <translation>Dateien in diesem Ordner</translation>
        </message>
        <message>
            <source>Take out of the batch</source>
            <translation>Aus dem Stapel nehmen</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Greifen</translation>
        </message>
        <message>
            <source>Pick all files shown</source>
            <translation>Alle gezeigten Dateien greifen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit, here and below</source>
            <translation>
                <numerusform>%Ln passt, hier und darunter</numerusform>
                <numerusform>%Ln passen, hier und darunter</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit so far, looking on…</source>
            <translation>
                <numerusform>%Ln passt bisher, es wird weiter gesucht …</numerusform>
                <numerusform>%Ln passen bisher, es wird weiter gesucht …</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln here</source>
            <translation>
                <numerusform>%Ln hier</numerusform>
                <numerusform>%Ln hier</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 here, %2 hidden</source>
            <translation>%1 hier, %2 verborgen</translation>
        </message>
        <message>
            <source>%1 of %2 shown</source>
            <translation>%1 von %2 gezeigt</translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders</source>
            <translation>
                <numerusform>%Ln Ordner</numerusform>
                <numerusform>%Ln Ordner</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln selected</source>
            <translation>
                <numerusform>%Ln gewählt</numerusform>
                <numerusform>%Ln gewählt</numerusform>
            </translation>
        </message>
        <message>
            <source>This folder cannot be read: %1</source>
            <translation>Dieser Ordner ist nicht lesbar: %1</translation>
        </message>
        <message>
            <source>Looking…</source>
            <translation>Wird gelesen …</translation>
        </message>
        <message>
            <source>This folder is empty.</source>
            <translation>Dieser Ordner ist leer.</translation>
        </message>
        <message>
            <source>Nothing here fits the filter (Esc clears it).</source>
            <translation>Nichts hier passt zum Filter (Esc leert ihn).</translation>
        </message>
        <message>
            <source>Everything here is hidden (Ctrl+H shows it).</source>
            <translation>Alles hier ist verborgen (Strg+H zeigt es).</translation>
        </message>
        <message>
            <source>Pick or drop	Space</source>
            <translation>Greifen oder loslassen	Leertaste</translation>
        </message>
        <message>
            <source>Open</source>
            <translation>Öffnen</translation>
        </message>
        <message>
            <source>Open in another window</source>
            <translation>In einem anderen Fenster öffnen</translation>
        </message>
        <message>
            <source>Make it the destination</source>
            <translation>Zum Ziel machen</translation>
        </message>
        <message>
            <source>What stands out below it</source>
            <translation>Was darunter auffällt</translation>
        </message>
        <message>
            <source>Look into the archive	Return</source>
            <translation>Ins Archiv sehen	Eingabe</translation>
        </message>
        <message>
            <source>Unpack</source>
            <translation>Auspacken</translation>
        </message>
        <message>
            <source>Open the folder it lies in</source>
            <translation>Den Ordner öffnen, in dem es liegt</translation>
        </message>
        <message>
            <source>Rename…	F2</source>
            <translation>Umbenennen …	F2</translation>
        </message>
        <message>
            <source>Move to the trash	Del</source>
            <translation>In den Papierkorb	Entf</translation>
        </message>
        <message>
            <source>New folder…	Ctrl+Shift+N</source>
            <translation>Neuer Ordner …	Strg+Umschalt+N</translation>
        </message>
        <message>
            <source>What stands out below this folder</source>
            <translation>Was unter diesem Ordner auffällt</translation>
        </message>
        <message>
            <source>In the order of</source>
            <translation>Sortiert nach</translation>
        </message>
        <message numerus="yes">
            <source>%Ln picked here</source>
            <translation>
                <numerusform>%Ln hier gewählt</numerusform>
                <numerusform>%Ln hier gewählt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln in the batch</source>
            <translation>
                <numerusform>%Ln im Stapel</numerusform>
                <numerusform>%Ln im Stapel</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>GroupModel</name>
        <message>
            <source>Not compared yet</source>
            <translation>Noch nicht verglichen</translation>
        </message>
        <message>
            <source>Same bytes</source>
            <translation>Dieselben Bytes</translation>
        </message>
        <message>
            <source>Incoming newer</source>
            <translation>Ankommendes neuer</translation>
        </message>
        <message>
            <source>Incoming older</source>
            <translation>Ankommendes älter</translation>
        </message>
        <message>
            <source>Same date, other bytes</source>
            <translation>Gleiches Datum, andere Bytes</translation>
        </message>
        <message>
            <source>A folder and a file</source>
            <translation>Ein Ordner und eine Datei</translation>
        </message>
        <message>
            <source>Several of the batch, one name</source>
            <translation>Mehrere aus dem Stapel, ein Name</translation>
        </message>
        <message>
            <source>There under another name</source>
            <translation>Dort unter anderem Namen</translation>
        </message>
        <message>
            <source>%1, %2</source>
            <translation>%1, %2</translation>
        </message>
        <message>
            <source>smaller</source>
            <translation>kleiner</translation>
        </message>
        <message>
            <source>same size</source>
            <translation>gleich groß</translation>
        </message>
        <message>
            <source>larger</source>
            <translation>größer</translation>
        </message>
        <message>
            <source>%1 · from %2</source>
            <translation>%1 · aus %2</translation>
        </message>
        <message>
            <source>%1 · %2</source>
            <translation>%1 · %2</translation>
        </message>
        <message>
            <source>other kinds</source>
            <translation>andere Arten</translation>
        </message>
        <message>
            <source>being read, one after the other</source>
            <translation>werden gelesen, eines nach dem anderen</translation>
        </message>
        <message>
            <source>nothing would change</source>
            <translation>nichts würde sich ändern</translation>
        </message>
        <message>
            <source>newer by up to %1</source>
            <translation>bis zu %1 neuer</translation>
        </message>
        <message>
            <source>there now is newer by up to %1</source>
            <translation>das Vorhandene ist bis zu %1 neuer</translation>
        </message>
        <message>
            <source>of one size too</source>
            <translation>auch gleich groß</translation>
        </message>
        <message>
            <source>sizes differ by up to %1</source>
            <translation>Größen unterscheiden sich um bis zu %1</translation>
        </message>
        <message>
            <source>what comes in the folder goes with it</source>
            <translation>was im Ordner kommt, geht mit ihm</translation>
        </message>
        <message>
            <source>which of them gets it?</source>
            <translation>welches bekommt ihn?</translation>
        </message>
        <message>
            <source>their own names are free; the bytes are there already</source>
            <translation>ihre eigenen Namen sind frei; die Bytes sind schon da</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln Element</numerusform>
                <numerusform>%Ln Elemente</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln pairs</source>
            <translation>
                <numerusform>%Ln Paar</numerusform>
                <numerusform>%Ln Paare</numerusform>
            </translation>
        </message>
        <message>
            <source>First</source>
            <translation>Das erste</translation>
        </message>
        <message>
            <source>Newest</source>
            <translation>Das neueste</translation>
        </message>
        <message>
            <source>All, new names</source>
            <translation>Alle, neue Namen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln open</source>
            <translation>
                <numerusform>%Ln offen</numerusform>
                <numerusform>%Ln offen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln other</source>
            <translation>
                <numerusform>%Ln anders</numerusform>
                <numerusform>%Ln anders</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 to the Safe</source>
            <translation>%1 in den Tresor</translation>
        </message>
        <message>
            <source>undecided</source>
            <translation>unentschieden</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Überspringen</translation>
        </message>
        <message>
            <source>Come in</source>
            <translation>Herein</translation>
        </message>
    </context>
    <context>
        <name>InstructionLine</name>
        <message>
            <source>All that is in them</source>
            <translation>Alles, was darin ist</translation>
        </message>
        <message>
            <source>(%1)</source>
            <translation>(%1)</translation>
        </message>
        <message>
            <source>Which of them: %1</source>
            <translation>Welche davon: %1</translation>
        </message>
        <message>
            <source>nothing yet</source>
            <translation>noch nichts</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln Element</numerusform>
                <numerusform>%Ln Elemente</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders</source>
            <translation>
                <numerusform>%Ln Ordner</numerusform>
                <numerusform>%Ln Ordnern</numerusform>
            </translation>
        </message>
        <message>
            <source>.</source>
            <translation>.</translation>
        </message>
        <message>
            <source>; </source>
            <translation>; </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided stay in hand.</source>
            <translation>
                <numerusform>%Ln unentschiedenes bleibt in der Hand.</numerusform>
                <numerusform>%Ln unentschiedene bleiben in der Hand.</numerusform>
            </translation>
        </message>
        <message>
            <source>, </source>
            <translation>, </translation>
        </message>
        <message>
            <source>What is done: %1</source>
            <translation>Was getan wird: %1</translation>
        </message>
        <message>
            <source>Batch: %1</source>
            <translation>Stapel: %1</translation>
        </message>
        <message>
            <source>From: %1</source>
            <translation>Aus: %1</translation>
        </message>
        <message>
            <source>Destination: %1</source>
            <translation>Ziel: %1</translation>
        </message>
        <message>
            <source>Subfolders: %1</source>
            <translation>Unterordner: %1</translation>
        </message>
        <message>
            <source>New names: %1</source>
            <translation>Neue Namen: %1</translation>
        </message>
        <message>
            <source>Where it goes: %1</source>
            <translation>Wohin es geht: %1</translation>
        </message>
        <message>
            <source>What is there under another name: %1</source>
            <translation>Was unter anderem Namen da ist: %1</translation>
        </message>
        <message>
            <source>Where a name is taken: %1</source>
            <translation>Wo ein Name vergeben ist: %1</translation>
        </message>
        <message>
            <source>Pack</source>
            <translation>Packe</translation>
        </message>
        <message>
            <source>Move</source>
            <translation>Verschiebe</translation>
        </message>
        <message>
            <source>Unpack</source>
            <translation>Auspacken</translation>
        </message>
        <message>
            <source>Copy</source>
            <translation>Kopiere</translation>
        </message>
        <message>
            <source> from </source>
            <translation> aus </translation>
        </message>
        <message>
            <source> into </source>
            <translation> in </translation>
        </message>
        <message>
            <source>an archive to be named</source>
            <translation>ein Archiv, das noch keinen Namen hat</translation>
        </message>
        <message>
            <source>a folder to be chosen</source>
            <translation>einen Ordner, der noch zu wählen ist</translation>
        </message>
        <message numerus="yes">
            <source>%1 (%Ln go)</source>
            <translation>
                <numerusform>%1 (%Ln geht)</numerusform>
                <numerusform>%1 (%Ln gehen)</numerusform>
            </translation>
        </message>
        <message>
            <source>What else is in the destination: %1</source>
            <translation>Was sonst im Ziel ist: %1</translation>
        </message>
        <message>
            <source>even where attributes are lost</source>
            <translation>auch wo Attribute verloren gehen</translation>
        </message>
        <message>
            <source>What people or programs noted about a file, and who may read it, is gone with its source where the destination cannot keep it. Change to: such a file stays.</source>
            <translation>Was Menschen oder Programme zu einer Datei vermerkt haben, und wer sie lesen darf, geht mit der Quelle verloren, wo das Ziel es nicht bewahren kann. Ändern in: so eine Datei bleibt.</translation>
        </message>
        <message>
            <source>Attributes: %1</source>
            <translation>Attribute: %1</translation>
        </message>
        <message>
            <source>, as </source>
            <translation>, als </translation>
        </message>
        <message>
            <source>, with new names: </source>
            <translation>, mit neuen Namen: </translation>
        </message>
        <message>
            <source>Type another name for it</source>
            <translation>Einen anderen Namen dafür tippen</translation>
        </message>
        <message>
            <source>; what is already there under another name </source>
            <translation>; was unter anderem Namen schon da ist, </translation>
        </message>
        <message>
            <source>then remove them</source>
            <translation>entferne sie dann</translation>
        </message>
        <message>
            <source>and keep them</source>
            <translation>und behalte sie</translation>
        </message>
        <message>
            <source>Each file goes to the Safe once it is proved to be in the archive. Change to: they stay.</source>
            <translation>Jede Datei geht in den Tresor, sobald erwiesen ist, dass sie im Archiv ist. Ändern in: sie bleiben.</translation>
        </message>
        <message>
            <source>They stay where they are. Change to: each goes to the Safe once it is proved to be in the archive.</source>
            <translation>Sie bleiben, wo sie sind. Ändern in: jede geht in den Tresor, sobald erwiesen ist, dass sie im Archiv ist.</translation>
        </message>
        <message>
            <source>What becomes of them: %1</source>
            <translation>Was aus ihnen wird: %1</translation>
        </message>
        <message>
            <source>Remove</source>
            <translation>Entferne</translation>
        </message>
        <message>
            <source>Give</source>
            <translation>Gib</translation>
        </message>
        <message>
            <source> in </source>
            <translation> in </translation>
        </message>
        <message>
            <source>folders with all that is in them</source>
            <translation>Ordner mit allem, was darin ist</translation>
        </message>
        <message>
            <source>folders themselves</source>
            <translation>Ordner selbst</translation>
        </message>
        <message>
            <source>, new names: </source>
            <translation>, neue Namen: </translation>
        </message>
        <message>
            <source> new names: </source>
            <translation> neue Namen: </translation>
        </message>
        <message>
            <source>steps to be chosen</source>
            <translation>Schritte, die noch zu wählen sind</translation>
        </message>
        <message>
            <source>where a name is taken, </source>
            <translation>wo ein Name vergeben ist, </translation>
        </message>
        <message>
            <source>%1, overwriting %2</source>
            <translation>%1, überschreibt %2</translation>
        </message>
        <message numerus="yes">
            <source>Move %Ln items</source>
            <translation>
                <numerusform>%Ln Element verschieben</numerusform>
                <numerusform>%Ln Elemente verschieben</numerusform>
            </translation>
        </message>
        <message>
            <source>Move %1 of %2</source>
            <translation>%1 von %2 verschieben</translation>
        </message>
        <message>
            <source>Rename</source>
            <translation>Umbenennen</translation>
        </message>
        <message numerus="yes">
            <source>Rename %Ln items</source>
            <translation>
                <numerusform>%Ln Element umbenennen</numerusform>
                <numerusform>%Ln Elemente umbenennen</numerusform>
            </translation>
        </message>
        <message>
            <source>Rename %1 of %2</source>
            <translation>%1 von %2 umbenennen</translation>
        </message>
        <message numerus="yes">
            <source>Remove %Ln items</source>
            <translation>
                <numerusform>%Ln Element entfernen</numerusform>
                <numerusform>%Ln Elemente entfernen</numerusform>
            </translation>
        </message>
        <message>
            <source>Remove %1 of %2</source>
            <translation>%1 von %2 entfernen</translation>
        </message>
        <message numerus="yes">
            <source>Pack %Ln items</source>
            <translation>
                <numerusform>%Ln Element packen</numerusform>
                <numerusform>%Ln Elemente packen</numerusform>
            </translation>
        </message>
        <message>
            <source>Pack %1 of %2</source>
            <translation>%1 von %2 packen</translation>
        </message>
        <message numerus="yes">
            <source>Unpack %Ln items</source>
            <translation>
                <numerusform>%Ln Element auspacken</numerusform>
                <numerusform>%Ln Elemente auspacken</numerusform>
            </translation>
        </message>
        <message>
            <source>Unpack %1 of %2</source>
            <translation>%1 von %2 auspacken</translation>
        </message>
        <message numerus="yes">
            <source>Copy %Ln items</source>
            <translation>
                <numerusform>%Ln Element kopieren</numerusform>
                <numerusform>%Ln Elemente kopieren</numerusform>
            </translation>
        </message>
        <message>
            <source>Copy %1 of %2</source>
            <translation>%1 von %2 kopieren</translation>
        </message>
        <message>
            <source>Pick files first</source>
            <translation>Erst Dateien greifen</translation>
        </message>
        <message>
            <source>Pick files and say what their names are to be first</source>
            <translation>Erst Dateien greifen und sagen, wie sie heißen sollen</translation>
        </message>
        <message>
            <source>Pick files and choose a destination first</source>
            <translation>Erst Dateien greifen und ein Ziel wählen</translation>
        </message>
        <message>
            <source>Not worked out yet</source>
            <translation>Noch nicht ausgearbeitet</translation>
        </message>
        <message>
            <source>Nothing would be done</source>
            <translation>Es würde nichts getan</translation>
        </message>
        <message>
            <source>What is undecided stays as it is</source>
            <translation>Unentschiedenes bleibt, wie es ist</translation>
        </message>
        <message>
            <source>Copy, while counting</source>
            <translation>Kopieren, noch beim Zählen</translation>
        </message>
        <message>
            <source>Begins with what collides with nothing; the rest follows as it is counted</source>
            <translation>Beginnt mit dem, was mit nichts zusammentrifft; der Rest folgt, wie er gezählt wird</translation>
        </message>
        <message>
            <source>Everything is counted first: %1</source>
            <translation>Erst wird alles gezählt: %1</translation>
        </message>
        <message>
            <source>Ask me: nothing happens to either until I decide; same bytes are skipped</source>
            <translation>Mich fragen: mit keinem geschieht etwas, bis ich entscheide; gleiche Bytes werden übersprungen</translation>
        </message>
        <message>
            <source>Keep what is there: skip the incoming one</source>
            <translation>Behalten, was da ist: das Ankommende überspringen</translation>
        </message>
        <message>
            <source>The newer one wins: older and same are skipped</source>
            <translation>Das neuere gewinnt: ältere und gleiche werden übersprungen</translation>
        </message>
        <message>
            <source>Overwrite what is there: the old ones go to the Safe</source>
            <translation>Überschreiben, was da ist: die alten gehen in den Tresor</translation>
        </message>
        <message>
            <source>The larger one wins: smaller and same are skipped; of one size, ask me</source>
            <translation>Das größere gewinnt: kleinere und gleiche werden übersprungen; gleich große entscheide ich</translation>
        </message>
        <message>
            <source>Bring up to date: newer overwrites, older and same are skipped, anything else asks me</source>
            <translation>Auf den neuesten Stand: neuere überschreiben, ältere und gleiche werden übersprungen, alles andere entscheide ich</translation>
        </message>
        <message>
            <source>My own rule, by finding and size…</source>
            <translation>Meine eigene Regel, nach Befund und Größe …</translation>
        </message>
        <message>
            <source>Keep both: the incoming one gets a new name</source>
            <translation>Beide behalten: das Ankommende bekommt einen neuen Namen</translation>
        </message>
        <message>
            <source>&amp;Copy to another folder</source>
            <translation>In einen anderen Ordner &amp;kopieren</translation>
        </message>
        <message>
            <source>&amp;Move to another folder</source>
            <translation>In einen anderen Ordner &amp;verschieben</translation>
        </message>
        <message>
            <source>&amp;New names where it is</source>
            <translation>&amp;Neue Namen, wo es ist</translation>
        </message>
        <message>
            <source>&amp;Pack into an archive</source>
            <translation>In ein Archiv &amp;packen</translation>
        </message>
        <message>
            <source>&amp;Unpack them</source>
            <translation>Sie &amp;auspacken</translation>
        </message>
        <message>
            <source>&amp;Remove, to the Safe or to the trash</source>
            <translation>&amp;Entfernen, in den Tresor oder den Papierkorb</translation>
        </message>
        <message>
            <source>Ne&amp;w names on the way…</source>
            <translation>Neue &amp;Namen unterwegs …</translation>
        </message>
        <message>
            <source>To the Safe: out of sight; the undo brings it back, until the Safe is emptied</source>
            <translation>In den Tresor: außer Sicht; der Rückgang bringt es wieder, bis der Tresor geleert wird</translation>
        </message>
        <message>
            <source>To the trash of the desktop: the undo, or any file manager, brings it back, until the trash is emptied</source>
            <translation>In den Papierkorb der Arbeitsumgebung: der Rückgang oder jede Dateiverwaltung bringt es wieder, bis er geleert wird</translation>
        </message>
        <message>
            <source>Show the batch as a list</source>
            <translation>Den Stapel als Liste zeigen</translation>
        </message>
        <message>
            <source>Empty the batch</source>
            <translation>Den Stapel leeren</translation>
        </message>
        <message>
            <source>Sort them into folders by what they tell…</source>
            <translation>In Ordner sortieren nach dem, was sie sagen …</translation>
        </message>
        <message>
            <source>Move also what would lose its notes or access list there</source>
            <translation>Auch verschieben, was dort Vermerke oder Zugriffslisten verlöre</translation>
        </message>
        <message numerus="yes">
            <source>%1 (%Ln picked)</source>
            <translation>
                <numerusform>%1 (%Ln gegriffen)</numerusform>
                <numerusform>%1 (%Ln gegriffen)</numerusform>
            </translation>
        </message>
        <message>
            <source>Look into it</source>
            <translation>Hineinsehen</translation>
        </message>
        <message>
            <source>Take what is from here out of the batch</source>
            <translation>Was von hier ist, aus dem Stapel nehmen</translation>
        </message>
        <message>
            <source>Nothing is picked yet</source>
            <translation>Noch ist nichts gegriffen</translation>
        </message>
        <message>
            <source>Only what is in a folder: %1</source>
            <translation>Nur was in einem Ordner ist: %1</translation>
        </message>
        <message>
            <source>The folder itself: %1</source>
            <translation>Der Ordner selbst: %1</translation>
        </message>
        <message>
            <source>keeping subfolders</source>
            <translation>mit Unterordnern</translation>
        </message>
        <message>
            <source>keeping subfolders with files in them</source>
            <translation>mit Unterordnern, in denen Dateien sind</translation>
        </message>
        <message>
            <source>without subfolders</source>
            <translation>ohne Unterordner</translation>
        </message>
        <message>
            <source>All files in one folder, no subfolders</source>
            <translation>Alle Dateien in einen Ordner, ohne Unterordner</translation>
        </message>
        <message>
            <source>In folders by what files tell: date, place, artist, author…</source>
            <translation>In Ordner nach dem, was Dateien sagen: Datum, Ort, Interpret, Autor …</translation>
        </message>
        <message>
            <source>What else is in the destination</source>
            <translation>Was sonst im Ziel ist</translation>
        </message>
        <message>
            <source>The folders themselves, not what is in them</source>
            <translation>Die Ordner selbst, nicht was darin ist</translation>
        </message>
        <message>
            <source>The folders, with all that is in them</source>
            <translation>Die Ordner mit allem, was darin ist</translation>
        </message>
        <message>
            <source>Only what is in them; the folders stay</source>
            <translation>Nur was darin ist; die Ordner bleiben</translation>
        </message>
        <message>
            <source>The files in them, also in subfolders</source>
            <translation>Die Dateien darin, auch in Unterordnern</translation>
        </message>
        <message>
            <source>The files directly in them</source>
            <translation>Die Dateien unmittelbar darin</translation>
        </message>
        <message>
            <source>The files and folders in them</source>
            <translation>Die Dateien und Ordner darin</translation>
        </message>
        <message>
            <source>Folders that things come from</source>
            <translation>Ordner, aus denen etwas kommt</translation>
        </message>
        <message>
            <source>Are not kept: side by side</source>
            <translation>Werden nicht behalten: nebeneinander</translation>
        </message>
        <message>
            <source>Kept below %1: %2</source>
            <translation>Ab %1 behalten: %2</translation>
        </message>
        <message>
            <source>Stays</source>
            <translation>Bleibt</translation>
        </message>
        <message>
            <source>Nothing extra: what is not of the batch goes to the Safe</source>
            <translation>Nichts Zusätzliches: was nicht aus dem Stapel ist, geht in den Tresor</translation>
        </message>
        <message>
            <source>Empty it first: everything there goes to the Safe</source>
            <translation>Erst leeren: alles dort geht in den Tresor</translation>
        </message>
        <message>
            <source>What is already there under another name</source>
            <translation>Was unter anderem Namen schon da ist</translation>
        </message>
        <message>
            <source>New names, where both stay</source>
            <translation>Neue Namen, wo beide bleiben</translation>
        </message>
        <message>
            <source>By number: report-2.pdf</source>
            <translation>Mit Nummer: bericht-2.pdf</translation>
        </message>
        <message>
            <source>By date of change: report 2031-05-02.pdf</source>
            <translation>Mit Änderungsdatum: bericht 2031-05-02.pdf</translation>
        </message>
        <message>
            <source>By my own pattern: %1</source>
            <translation>Nach eigenem Muster: %1</translation>
        </message>
        <message>
            <source>By my own pattern…</source>
            <translation>Nach eigenem Muster …</translation>
        </message>
        <message>
            <source>Is not looked for</source>
            <translation>Wird nicht gesucht</translation>
        </message>
        <message>
            <source>Is skipped: files of equal size are read, and those with the same bytes stay out</source>
            <translation>Wird übersprungen: Dateien gleicher Größe werden gelesen, und die mit denselben Bytes bleiben draußen</translation>
        </message>
        <message>
            <source>Asks me</source>
            <translation>Fragt mich</translation>
        </message>
        <message>
            <source>Is marked, and comes all the same</source>
            <translation>Wird gekennzeichnet und kommt trotzdem</translation>
        </message>
    </context>
    <context>
        <name>JobBanner</name>
        <message>
            <source>Put back into the job</source>
            <translation>In den Auftrag zurücklegen</translation>
        </message>
        <message>
            <source>Step %1 of “%2”</source>
            <translation>Schritt %1 von „%2“</translation>
        </message>
        <message>
            <source>%1 is on the bench. Change what you want, and put it back.</source>
            <translation>%1 liegt auf der Werkbank. Ändern, was zu ändern ist, und zurücklegen.</translation>
        </message>
        <message>
            <source>%1: this is what it would do now. Nothing is done until you start it.</source>
            <translation>%1: das täte er jetzt. Nichts geschieht, bis es gestartet wird.</translation>
        </message>
        <message>
            <source>Leave the job as it was</source>
            <translation>Den Auftrag lassen, wie er war</translation>
        </message>
        <message>
            <source>Back to what was on the bench</source>
            <translation>Zurück zu dem, was auf der Werkbank war</translation>
        </message>
    </context>
    <context>
        <name>JobRuns</name>
        <message>
            <source>it is running just now</source>
            <translation>er läuft gerade</translation>
        </message>
        <message>
            <source>another program runs it just now</source>
            <translation>ein anderes Programm führt ihn gerade aus</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
    </context>
    <context>
        <name>JobWords</name>
        <message>
            <source>year</source>
            <translation>Jahr</translation>
        </message>
        <message>
            <source>month</source>
            <translation>Monat</translation>
        </message>
        <message>
            <source>day</source>
            <translation>Tag</translation>
        </message>
        <message>
            <source>week</source>
            <translation>Woche</translation>
        </message>
        <message>
            <source>date</source>
            <translation>Datum</translation>
        </message>
        <message>
            <source>hour</source>
            <translation>Stunde</translation>
        </message>
        <message>
            <source>minute</source>
            <translation>Minute</translation>
        </message>
        <message>
            <source>time</source>
            <translation>Uhrzeit</translation>
        </message>
        <message>
            <source>today</source>
            <translation>heute</translation>
        </message>
        <message>
            <source>yesterday</source>
            <translation>gestern</translation>
        </message>
        <message>
            <source>this Monday</source>
            <translation>diesem Montag</translation>
        </message>
        <message>
            <source>Monday last week</source>
            <translation>dem Montag letzter Woche</translation>
        </message>
        <message>
            <source>the first of this month</source>
            <translation>dem Ersten dieses Monats</translation>
        </message>
        <message>
            <source>the first of last month</source>
            <translation>dem Ersten des letzten Monats</translation>
        </message>
        <message>
            <source>the first of this year</source>
            <translation>dem Ersten dieses Jahres</translation>
        </message>
        <message>
            <source>changed yesterday</source>
            <translation>gestern geändert</translation>
        </message>
        <message>
            <source>changed last week</source>
            <translation>letzte Woche geändert</translation>
        </message>
        <message>
            <source>changed last month</source>
            <translation>letzten Monat geändert</translation>
        </message>
        <message numerus="yes">
            <source>changed in the last %Ln days</source>
            <translation>
                <numerusform>am letzten Tag geändert</numerusform>
                <numerusform>in den letzten %Ln Tagen geändert</numerusform>
            </translation>
        </message>
        <message>
            <source>changed today</source>
            <translation>heute geändert</translation>
        </message>
        <message>
            <source>changed since %1</source>
            <translation>seit %1 geändert</translation>
        </message>
        <message numerus="yes">
            <source>not changed for %Ln days</source>
            <translation>
                <numerusform>seit %Ln Tag nicht geändert</numerusform>
                <numerusform>seit %Ln Tagen nicht geändert</numerusform>
            </translation>
        </message>
        <message>
            <source>changed before %1</source>
            <translation>vor %1 geändert</translation>
        </message>
        <message numerus="yes">
            <source>%Ln places</source>
            <translation>
                <numerusform>%Ln Ort</numerusform>
                <numerusform>%Ln Orten</numerusform>
            </translation>
        </message>
        <message>
            <source>folders over %1 in %2</source>
            <translation>Ordner über %1 in %2</translation>
        </message>
        <message>
            <source>empty folders in %1</source>
            <translation>leere Ordner in %1</translation>
        </message>
        <message>
            <source>files in %1 (%2)</source>
            <translation>Dateien in %1 (%2)</translation>
        </message>
        <message>
            <source>what is in %1</source>
            <translation>was in %1 ist</translation>
        </message>
        <message numerus="yes">
            <source>%Ln things</source>
            <translation>
                <numerusform>%Ln Ding</numerusform>
                <numerusform>%Ln Dinge</numerusform>
            </translation>
        </message>
        <message>
            <source>“%1”</source>
            <translation>„%1“</translation>
        </message>
        <message>
            <source>not %1</source>
            <translation>nicht %1</translation>
        </message>
        <message>
            <source>over %1</source>
            <translation>über %1</translation>
        </message>
        <message>
            <source>empty</source>
            <translation>leer</translation>
        </message>
        <message>
            <source>under %1</source>
            <translation>unter %1</translation>
        </message>
        <message>
            <source>fitting %1</source>
            <translation>passend zu %1</translation>
        </message>
        <message>
            <source>with even numbers</source>
            <translation>mit geraden Zahlen</translation>
        </message>
        <message>
            <source>with odd numbers</source>
            <translation>mit ungeraden Zahlen</translation>
        </message>
        <message>
            <source>with numbers %1</source>
            <translation>mit Zahlen %1</translation>
        </message>
        <message>
            <source>not in folders %1</source>
            <translation>nicht in Ordnern %1</translation>
        </message>
        <message>
            <source>named in %1</source>
            <translation>genannt in %1</translation>
        </message>
        <message>
            <source>Write a line into %1: %2</source>
            <translation>Eine Zeile in %1 schreiben: %2</translation>
        </message>
        <message>
            <source>Step %1</source>
            <translation>Schritt %1</translation>
        </message>
        <message>
            <source>%1: %2 is not there just now.</source>
            <translation>%1: %2 ist gerade nicht da.</translation>
        </message>
        <message numerus="yes">
            <source>%1: %Ln kinds of collision (%2) will stay as they are until you look.</source>
            <translation>
                <numerusform>%1: %Ln Art von Zusammentreffen (%2) bleibt, wie sie ist, bis Sie nachsehen.</numerusform>
                <numerusform>%1: %Ln Arten von Zusammentreffen (%2) bleiben, wie sie sind, bis Sie nachsehen.</numerusform>
            </translation>
        </message>
        <message>
            <source>done</source>
            <translation>fertig</translation>
        </message>
        <message>
            <source>some failed</source>
            <translation>einige misslungen</translation>
        </message>
        <message>
            <source>refused</source>
            <translation>abgelehnt</translation>
        </message>
        <message>
            <source>some undecided</source>
            <translation>einige unentschieden</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>angehalten</translation>
        </message>
        <message>
            <source>by the calendar: %1</source>
            <translation>nach Kalender: %1</translation>
        </message>
        <message>
            <source>every day at %1</source>
            <translation>jeden Tag um %1</translation>
        </message>
        <message>
            <source>every working day at %1</source>
            <translation>jeden Werktag um %1</translation>
        </message>
        <message>
            <source>the first of each month at %1</source>
            <translation>am Ersten jedes Monats um %1</translation>
        </message>
        <message>
            <source>every %1 at %2</source>
            <translation>jeden %1 um %2</translation>
        </message>
        <message>
            <source>when something arrives where it takes from</source>
            <translation>wenn etwas ankommt, woher er nimmt</translation>
        </message>
    </context>
    <context>
        <name>JobsModel</name>
        <message>
            <source>has not run yet</source>
            <translation>lief noch nicht</translation>
        </message>
        <message>
            <source>last %1: %2</source>
            <translation>zuletzt %1: %2</translation>
        </message>
        <message>
            <source>%1 (not switched on)</source>
            <translation>%1 (nicht eingeschaltet)</translation>
        </message>
        <message>
            <source>broken: %1</source>
            <translation>defekt: %1</translation>
        </message>
        <message numerus="yes">
            <source>%1 (and %Ln more steps)</source>
            <translation>
                <numerusform>%1 (und %Ln weiterer Schritt)</numerusform>
                <numerusform>%1 (und %Ln weitere Schritte)</numerusform>
            </translation>
        </message>
        <message>
            <source>%1; %2; %3</source>
            <translation>%1; %2; %3</translation>
        </message>
        <message>
            <source>next %1</source>
            <translation>nächster %1</translation>
        </message>
    </context>
    <context>
        <name>JobsPage</name>
        <message>
            <source>Not done: %1</source>
            <translation>Nicht getan: %1</translation>
        </message>
        <message>
            <source>There is a job “%1” already; nothing was changed.</source>
            <translation>Einen Auftrag „%1“ gibt es schon; nichts wurde geändert.</translation>
        </message>
        <message>
            <source>“%1” is forgotten; its receipts stay.</source>
            <translation>„%1“ ist vergessen; seine Quittungen bleiben.</translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>In %1 geschrieben.</translation>
        </message>
        <message>
            <source>“%1”: set.</source>
            <translation>„%1“: gesetzt.</translation>
        </message>
        <message>
            <source>“%1” is set, but not switched on: %2</source>
            <translation>„%1“ ist gesetzt, aber nicht eingeschaltet: %2</translation>
        </message>
        <message>
            <source>“%1”: %2</source>
            <translation>„%1“: %2</translation>
        </message>
        <message>
            <source>“%1” has ended: %2</source>
            <translation>„%1“ ist zu Ende: %2</translation>
        </message>
        <message>
            <source>Saved jobs</source>
            <translation>Aufträge</translation>
        </message>
        <message>
            <source>No job is kept yet.

What is done again and again is put together on the bench as always; then Batch, Keep as a job…</source>
            <translation>Noch ist kein Auftrag behalten.

Was immer wieder getan wird, wird wie sonst auf der Werkbank zusammengestellt; dann Stapel, Als Auftrag behalten …</translation>
        </message>
        <message>
            <source>Read a job from a file…</source>
            <translation>Einen Auftrag aus einer Datei lesen …</translation>
        </message>
        <message>
            <source>Run now</source>
            <translation>Jetzt ausführen</translation>
        </message>
        <message>
            <source>All its steps, one after the other; each leaves a receipt that can be undone</source>
            <translation>Alle seine Schritte, einer nach dem anderen; jeder hinterlässt eine Quittung und lässt sich zurücknehmen</translation>
        </message>
        <message>
            <source>When…</source>
            <translation>Wann …</translation>
        </message>
        <message>
            <source>Has it run by itself</source>
            <translation>Lässt ihn von selbst laufen</translation>
        </message>
        <message>
            <source>More</source>
            <translation>Mehr</translation>
        </message>
        <message>
            <source>Forget it</source>
            <translation>Vergessen</translation>
        </message>
        <message>
            <source>Keep it</source>
            <translation>Behalten</translation>
        </message>
        <message>
            <source>Add a step</source>
            <translation>Einen Schritt hinzufügen</translation>
        </message>
        <message>
            <source>Settle what is undecided…</source>
            <translation>Unentschiedenes klären …</translation>
        </message>
        <message>
            <source>Puts it onto the bench as that run had it; what you decide then is done under its receipt</source>
            <translation>Legt es auf die Werkbank, wie jener Lauf es hatte; was dann entschieden wird, geschieht unter seiner Quittung</translation>
        </message>
        <message>
            <source>Runs of this job, the latest first</source>
            <translation>Läufe dieses Auftrags, die letzten zuerst</translation>
        </message>
        <message>
            <source>When</source>
            <translation>Wann</translation>
        </message>
        <message>
            <source>Ended</source>
            <translation>Ende</translation>
        </message>
        <message>
            <source>What came of it</source>
            <translation>Was daraus wurde</translation>
        </message>
        <message>
            <source>What it did</source>
            <translation>Was er tat</translation>
        </message>
        <message>
            <source>Runs when somebody runs it; %1.</source>
            <translation>Läuft, wenn ihn jemand ausführt; %1.</translation>
        </message>
        <message>
            <source>Runs %1; %2.</source>
            <translation>Läuft %1; %2.</translation>
        </message>
        <message>
            <source>Next: %1</source>
            <translation>Als nächstes: %1</translation>
        </message>
        <message>
            <source>Its document cannot be read: %1</source>
            <translation>Sein Dokument ist nicht lesbar: %1</translation>
        </message>
        <message>
            <source>Running</source>
            <translation>Läuft</translation>
        </message>
        <message>
            <source>It has left no receipt yet.</source>
            <translation>Er hat noch keine Quittung hinterlassen.</translation>
        </message>
        <message>
            <source>Its last runs, a line for each step. Return opens the receipt.</source>
            <translation>Seine letzten Läufe, eine Zeile je Schritt. Eingabe öffnet die Quittung.</translation>
        </message>
        <message>
            <source>, undone</source>
            <translation>, zurückgenommen</translation>
        </message>
        <message>
            <source>What is on the bench</source>
            <translation>Was auf der Werkbank liegt</translation>
        </message>
        <message>
            <source>A line in a text file…</source>
            <translation>Eine Zeile in einer Textdatei …</translation>
        </message>
        <message>
            <source>Another name…</source>
            <translation>Ein anderer Name …</translation>
        </message>
        <message>
            <source>Write to a file…</source>
            <translation>In eine Datei schreiben …</translation>
        </message>
        <message>
            <source>Forget…</source>
            <translation>Vergessen …</translation>
        </message>
        <message>
            <source>Another name</source>
            <translation>Ein anderer Name</translation>
        </message>
        <message>
            <source>Name of the job</source>
            <translation>Name des Auftrags</translation>
        </message>
        <message>
            <source>The name %1.</source>
            <translation>Der Name %1.</translation>
        </message>
        <message>
            <source>“%1” would be gone, and would not run by itself any more. What it did stays, with its receipts.</source>
            <translation>„%1“ wäre fort und liefe nicht mehr von selbst. Was er tat, bleibt, mit seinen Quittungen.</translation>
        </message>
        <message>
            <source>“%1” would be gone. What it did stays, with its receipts.</source>
            <translation>„%1“ wäre fort. Was er tat, bleibt, mit seinen Quittungen.</translation>
        </message>
        <message>
            <source>Read a job from a file</source>
            <translation>Einen Auftrag aus einer Datei lesen</translation>
        </message>
        <message>
            <source>Jobs (*.json)</source>
            <translation>Aufträge (*.json)</translation>
        </message>
        <message>
            <source>Write the job to a file</source>
            <translation>Den Auftrag in eine Datei schreiben</translation>
        </message>
    </context>
    <context>
        <name>KeepJobDialog</name>
        <message>
            <source>Keep as a job</source>
            <translation>Als Auftrag behalten</translation>
        </message>
        <message>
            <source>&amp;Name of the job</source>
            <translation>&amp;Name des Auftrags</translation>
        </message>
        <message>
            <source>Name of the job</source>
            <translation>Name des Auftrags</translation>
        </message>
        <message>
            <source>Next time it takes</source>
            <translation>Das nächste Mal nimmt er</translation>
        </message>
        <message>
            <source>what is there then and fits</source>
            <translation>was dann da ist und passt</translation>
        </message>
        <message numerus="yes">
            <source>the same %Ln things, by their names</source>
            <translation>
                <numerusform>dasselbe %Ln Ding, beim Namen</numerusform>
                <numerusform>dieselben %Ln Dinge, beim Namen</numerusform>
            </translation>
        </message>
        <message>
            <source>Replace it</source>
            <translation>Ersetzen</translation>
        </message>
        <message>
            <source>Keep</source>
            <translation>Behalten</translation>
        </message>
        <message>
            <source>There is a job of this name.</source>
            <translation>Es gibt einen Auftrag dieses Namens.</translation>
        </message>
        <message>
            <source>The name %1.</source>
            <translation>Der Name %1.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln kinds of collision will stay as they are until you look: nobody is asked while it is running.</source>
            <translation>
                <numerusform>%Ln Art von Zusammentreffen bleibt, wie sie ist, bis Sie nachsehen: niemand wird gefragt, während er läuft.</numerusform>
                <numerusform>%Ln Arten von Zusammentreffen bleiben, wie sie sind, bis Sie nachsehen: niemand wird gefragt, während er läuft.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>Keeping</name>
        <message numerus="yes">
            <source>%Ln versions have left the Safe, past the age that you have set.</source>
            <translation>
                <numerusform>%Ln Fassung hat den Tresor verlassen, älter als von Ihnen gesetzt.</numerusform>
                <numerusform>%Ln Fassungen haben den Tresor verlassen, älter als von Ihnen gesetzt.</numerusform>
            </translation>
        </message>
        <message>
            <source>The Safe takes %1, more than the %2 that you have set: see what can leave it.</source>
            <translation>Der Tresor braucht %1, mehr als die %2, die Sie gesetzt haben: sehen Sie nach, was ihn verlassen kann.</translation>
        </message>
    </context>
    <context>
        <name>Kept</name>
        <message>
            <source>Use</source>
            <translation>Benutzen</translation>
        </message>
        <message>
            <source>Forget</source>
            <translation>Vergessen</translation>
        </message>
        <message>
            <source>Name:</source>
            <translation>Name:</translation>
        </message>
    </context>
    <context>
        <name>KindsDialog</name>
        <message>
            <source>Kinds of files</source>
            <translation>Arten von Dateien</translation>
        </message>
        <message>
            <source>One kind a line: its name, a colon, the extensions. A new line makes a new kind; a kind without extensions is taken out. The command line knows the same kinds.</source>
            <translation>Eine Art je Zeile: ihr Name, ein Doppelpunkt, die Endungen. Eine neue Zeile ergibt eine neue Art; eine Art ohne Endungen fällt weg. Die Befehlszeile kennt dieselben Arten.</translation>
        </message>
        <message>
            <source>Kinds and their extensions</source>
            <translation>Arten und ihre Endungen</translation>
        </message>
        <message>
            <source>As built in</source>
            <translation>Wie mitgeliefert</translation>
        </message>
    </context>
    <context>
        <name>Lane</name>
        <message>
            <source>%1 of %2 items</source>
            <translation>%1 von %2 Elementen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln Element</numerusform>
                <numerusform>%Ln Elemente</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 of %2</source>
            <translation>%1 von %2</translation>
        </message>
        <message>
            <source>archive %1, %2 % of it</source>
            <translation>Archiv %1, %2 % davon</translation>
        </message>
        <message>
            <source>%1, still counting</source>
            <translation>%1, es wird noch gezählt</translation>
        </message>
        <message>
            <source>%1/s</source>
            <translation>%1/s</translation>
        </message>
        <message numerus="yes">
            <source>%Ln s left</source>
            <translation>
                <numerusform>noch %Ln s</numerusform>
                <numerusform>noch %Ln s</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>about %Ln min left</source>
            <translation>
                <numerusform>noch etwa %Ln min</numerusform>
                <numerusform>noch etwa %Ln min</numerusform>
            </translation>
        </message>
        <message>
            <source>about %1 h left</source>
            <translation>noch etwa %1 h</translation>
        </message>
        <message>
            <source>waiting</source>
            <translation>wartet</translation>
        </message>
        <message>
            <source>going on</source>
            <translation>läuft</translation>
        </message>
        <message>
            <source>paused</source>
            <translation>pausiert</translation>
        </message>
        <message>
            <source>stopping</source>
            <translation>hält an</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>angehalten</translation>
        </message>
        <message>
            <source>interrupted</source>
            <translation>unterbrochen</translation>
        </message>
        <message>
            <source>in another program</source>
            <translation>in einem anderen Programm</translation>
        </message>
        <message>
            <source>done</source>
            <translation>fertig</translation>
        </message>
        <message>
            <source>not possible</source>
            <translation>nicht möglich</translation>
        </message>
        <message>
            <source>It may have been moved or removed meanwhile: put it back and try again, or leave it.</source>
            <translation>Es ist vielleicht inzwischen verschoben oder entfernt: zurücklegen und noch einmal versuchen, oder lassen.</translation>
        </message>
        <message>
            <source>Ask whoever owns it for the right to it, then try again.</source>
            <translation>Den Besitzer um das Recht dazu bitten, dann noch einmal versuchen.</translation>
        </message>
        <message>
            <source>Some program is writing it: close it there, then try again.</source>
            <translation>Ein Programm schreibt gerade hinein: dort schließen, dann noch einmal versuchen.</translation>
        </message>
        <message>
            <source>Make room on the disk, then try again.</source>
            <translation>Platz auf dem Datenträger schaffen, dann noch einmal versuchen.</translation>
        </message>
        <message>
            <source>Connect the disk or the network share again, then try again.</source>
            <translation>Den Datenträger oder die Netzfreigabe wieder verbinden, dann noch einmal versuchen.</translation>
        </message>
        <message>
            <source>Look at the disk and its cable, and keep what can still be read; then try again.</source>
            <translation>Datenträger und Kabel prüfen und sichern, was noch lesbar ist; dann noch einmal versuchen.</translation>
        </message>
        <message>
            <source>Give it a name that the destination can hold, and copy it anew.</source>
            <translation>Einen Namen geben, den das Ziel halten kann, und neu kopieren.</translation>
        </message>
    </context>
    <context>
        <name>LaneView</name>
        <message>
            <source>First</source>
            <translation>Das erste</translation>
        </message>
        <message>
            <source>Goes on now; the others on its drives wait until it is through</source>
            <translation>Läuft jetzt weiter; die anderen auf seinen Laufwerken warten, bis er durch ist</translation>
        </message>
        <message>
            <source>Receipt</source>
            <translation>Quittung</translation>
        </message>
        <message>
            <source>Stop…</source>
            <translation>Anhalten …</translation>
        </message>
        <message>
            <source>More…</source>
            <translation>Mehr …</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Schließen</translation>
        </message>
        <message>
            <source>Go on</source>
            <translation>Weiter</translation>
        </message>
        <message>
            <source>Pause</source>
            <translation>Pause</translation>
        </message>
        <message>
            <source>%1 %2</source>
            <translation>%1 %2</translation>
        </message>
        <message>
            <source>now %1</source>
            <translation>jetzt %1</translation>
        </message>
        <message>
            <source>waits for the drive</source>
            <translation>wartet auf das Laufwerk</translation>
        </message>
        <message>
            <source>looks at its drives</source>
            <translation>sieht nach seinen Laufwerken</translation>
        </message>
        <message>
            <source>paused by you</source>
            <translation>von Ihnen pausiert</translation>
        </message>
        <message>
            <source>paused when Tavlo was closed</source>
            <translation>pausiert, als Tavlo geschlossen wurde</translation>
        </message>
        <message>
            <source>waits: %1</source>
            <translation>wartet: %1</translation>
        </message>
        <message>
            <source>Nothing is lost; going on finishes or takes back what was open</source>
            <translation>Nichts ist verloren; weitergehen beendet, was offen war, oder nimmt es zurück</translation>
        </message>
        <message>
            <source>what is begun is brought to an end</source>
            <translation>Begonnenes wird zu Ende gebracht</translation>
        </message>
        <message numerus="yes">
            <source>%Ln failed</source>
            <translation>
                <numerusform>%Ln misslungen</numerusform>
                <numerusform>%Ln misslungen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided</source>
            <translation>
                <numerusform>%Ln unentschieden</numerusform>
                <numerusform>%Ln unentschieden</numerusform>
            </translation>
        </message>
        <message>
            <source>at most %1</source>
            <translation>höchstens %1</translation>
        </message>
        <message>
            <source>still counting</source>
            <translation>es wird noch gezählt</translation>
        </message>
        <message>
            <source>Stop, and keep what is done</source>
            <translation>Anhalten, und behalten, was getan ist</translation>
        </message>
        <message>
            <source>Stop, and take back what is done</source>
            <translation>Anhalten, und zurücknehmen, was getan ist</translation>
        </message>
        <message>
            <source>Behind the next one</source>
            <translation>Hinter den nächsten</translation>
        </message>
        <message>
            <source>Reads at most…</source>
            <translation>Liest höchstens …</translation>
        </message>
        <message>
            <source>Its receipt so far</source>
            <translation>Seine Quittung bisher</translation>
        </message>
    </context>
    <context>
        <name>Limit</name>
        <message>
            <source>As fast as it can</source>
            <translation>So schnell es geht</translation>
        </message>
        <message>
            <source>Another: %1…</source>
            <translation>Anderes: %1 …</translation>
        </message>
        <message>
            <source>Another…</source>
            <translation>Anderes …</translation>
        </message>
        <message>
            <source>Reading limit</source>
            <translation>Lesegrenze</translation>
        </message>
        <message>
            <source>MB a second, at most:</source>
            <translation>MB in der Sekunde, höchstens:</translation>
        </message>
    </context>
    <context>
        <name>ListPanel</name>
        <message>
            <source>&lt;b&gt;Pick what a list names&lt;/b&gt;</source>
            <translation>&lt;b&gt;Greifen, was eine Liste nennt&lt;/b&gt;</translation>
        </message>
        <message>
            <source>Read a file…</source>
            <translation>Eine Datei lesen …</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Schließen</translation>
        </message>
        <message>
            <source>The list</source>
            <translation>Die Liste</translation>
        </message>
        <message>
            <source>Paste names, numbers or ranges (120-135), from a mail, a sheet or a file.</source>
            <translation>Namen, Zahlen oder Bereiche (120-135) einfügen, aus einer Mail, einer Tabelle oder einer Datei.</translation>
        </message>
        <message>
            <source>What was found</source>
            <translation>Was gefunden wurde</translation>
        </message>
        <message>
            <source>Asked for</source>
            <translation>Verlangt</translation>
        </message>
        <message>
            <source>State</source>
            <translation>Stand</translation>
        </message>
        <message>
            <source>Fits</source>
            <translation>Passt</translation>
        </message>
        <message>
            <source>Copy the report</source>
            <translation>Den Bericht kopieren</translation>
        </message>
        <message>
            <source>Take all that fit</source>
            <translation>Alle Passenden nehmen</translation>
        </message>
        <message>
            <source>Read a list</source>
            <translation>Eine Liste lesen</translation>
        </message>
        <message>
            <source>not found</source>
            <translation>nicht gefunden</translation>
        </message>
        <message>
            <source>found</source>
            <translation>gefunden</translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit</source>
            <translation>
                <numerusform>%Ln passt</numerusform>
                <numerusform>%Ln passen</numerusform>
            </translation>
        </message>
        <message>
            <source>Which of those that fit “%1”</source>
            <translation>Welche der zu „%1“ passenden</translation>
        </message>
        <message>
            <source>choose…</source>
            <translation>wählen …</translation>
        </message>
        <message>
            <source>take all %1</source>
            <translation>alle %1 nehmen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln found</source>
            <translation>
                <numerusform>%Ln gefunden</numerusform>
                <numerusform>%Ln gefunden</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit several, %1 still to choose</source>
            <translation>
                <numerusform>%Ln passt auf mehrere, %1 noch zu wählen</numerusform>
                <numerusform>%Ln passen auf mehrere, %1 noch zu wählen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln not found</source>
            <translation>
                <numerusform>%Ln nicht gefunden</numerusform>
                <numerusform>%Ln nicht gefunden</numerusform>
            </translation>
        </message>
        <message>
            <source>Names are looked for among the files that are listed.</source>
            <translation>Namen werden unter den aufgelisteten Dateien gesucht.</translation>
        </message>
        <message numerus="yes">
            <source>Add %Ln files to the batch</source>
            <translation>
                <numerusform>%Ln Datei zum Stapel hinzufügen</numerusform>
                <numerusform>%Ln Dateien zum Stapel hinzufügen</numerusform>
            </translation>
        </message>
        <message>
            <source>several fit</source>
            <translation>mehrere passen</translation>
        </message>
    </context>
    <context>
        <name>Listing</name>
        <message>
            <source>folder</source>
            <translation>Ordner</translation>
        </message>
        <message>
            <source>link</source>
            <translation>Link</translation>
        </message>
        <message>
            <source>special</source>
            <translation>besondere</translation>
        </message>
        <message>
            <source>file</source>
            <translation>Datei</translation>
        </message>
        <message>
            <source>%1 file</source>
            <translation>%1-Datei</translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders could not be read</source>
            <translation>
                <numerusform>%Ln Ordner war nicht lesbar</numerusform>
                <numerusform>%Ln Ordner waren nicht lesbar</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>LocationBar</name>
        <message>
            <source>Click beside the folders to type a path (Ctrl+L)</source>
            <translation>Neben die Ordner klicken, um einen Pfad zu tippen (Strg+L)</translation>
        </message>
        <message>
            <source>Folder shown</source>
            <translation>Gezeigter Ordner</translation>
        </message>
        <message>
            <source>Open %1</source>
            <translation>%1 öffnen</translation>
        </message>
    </context>
    <context>
        <name>LookPanel</name>
        <message>
            <source>A look at the file</source>
            <translation>Ein Blick auf die Datei</translation>
        </message>
        <message>
            <source>The file's text</source>
            <translation>Der Text der Datei</translation>
        </message>
        <message>
            <source>What the file tells</source>
            <translation>Was die Datei sagt</translation>
        </message>
        <message>
            <source>Nothing is current in the list.</source>
            <translation>Nichts in der Liste ist gewählt.</translation>
        </message>
        <message>
            <source>Kind</source>
            <translation>Art</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>%1 (%2 bytes)</source>
            <translation>%1 (%2 Byte)</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Geändert</translation>
        </message>
        <message>
            <source>A look is for files.</source>
            <translation>Der Blick gilt Dateien.</translation>
        </message>
        <message>
            <source>Permissions</source>
            <translation>Rechte</translation>
        </message>
        <message>
            <source>%1 on a map</source>
            <translation>%1 auf einer Karte</translation>
        </message>
    </context>
    <context>
        <name>LookerProcess</name>
        <message>
            <source>S</source>
            <translation>S</translation>
        </message>
        <message>
            <source>N</source>
            <translation>N</translation>
        </message>
        <message>
            <source>W</source>
            <translation>W</translation>
        </message>
        <message>
            <source>E</source>
            <translation>O</translation>
        </message>
        <message>
            <source>There is no look at files of this kind.</source>
            <translation>Dateien dieser Art lassen sich nicht ansehen.</translation>
        </message>
        <message>
            <source>This file could not be looked at.</source>
            <translation>Diese Datei ließ sich nicht ansehen.</translation>
        </message>
        <message>
            <source>Dimensions</source>
            <translation>Maße</translation>
        </message>
        <message>
            <source>Pages</source>
            <translation>Seiten</translation>
        </message>
        <message>
            <source>Length</source>
            <translation>Länge</translation>
        </message>
        <message>
            <source>Sound</source>
            <translation>Ton</translation>
        </message>
        <message>
            <source>Title</source>
            <translation>Titel</translation>
        </message>
        <message>
            <source>Caption</source>
            <translation>Bildtext</translation>
        </message>
        <message>
            <source>Keywords</source>
            <translation>Schlagwörter</translation>
        </message>
        <message>
            <source>Encoding</source>
            <translation>Kodierung</translation>
        </message>
        <message>
            <source>Lines end with</source>
            <translation>Zeilen enden mit</translation>
        </message>
        <message>
            <source>Owner</source>
            <translation>Besitzer</translation>
        </message>
        <message>
            <source>There is nothing to see of this file.</source>
            <translation>Von dieser Datei ist nichts zu sehen.</translation>
        </message>
    </context>
    <context>
        <name>MainWindow</name>
        <message numerus="yes">
            <source>%Ln were left out: they lie on no disk of this machine.</source>
            <translation>
                <numerusform>%Ln blieb weg: es liegt auf keinem Datenträger dieses Rechners.</numerusform>
                <numerusform>%Ln blieben weg: sie liegen auf keinem Datenträger dieses Rechners.</numerusform>
            </translation>
        </message>
        <message>
            <source>New folder</source>
            <translation>Neuer Ordner</translation>
        </message>
        <message>
            <source>Name; a/b/c makes one in the other:</source>
            <translation>Name; a/b/c macht einen im anderen:</translation>
        </message>
        <message>
            <source>Rename</source>
            <translation>Umbenennen</translation>
        </message>
        <message>
            <source>New name of %1:</source>
            <translation>Neuer Name von %1:</translation>
        </message>
        <message>
            <source>%1 is not there.</source>
            <translation>%1 ist nicht da.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln are in hand in the other window now.</source>
            <translation>
                <numerusform>%Ln ist jetzt im anderen Fenster in der Hand.</numerusform>
                <numerusform>%Ln sind jetzt im anderen Fenster in der Hand.</numerusform>
            </translation>
        </message>
        <message>
            <source>Take over</source>
            <translation>Übernehmen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln came from the other window.</source>
            <translation>
                <numerusform>%Ln kam aus dem anderen Fenster.</numerusform>
                <numerusform>%Ln kamen aus dem anderen Fenster.</numerusform>
            </translation>
        </message>
        <message>
            <source>There is no other window (Ctrl+N opens one)</source>
            <translation>Es gibt kein anderes Fenster (Strg+N öffnet eines)</translation>
        </message>
        <message>
            <source>Runs are not through</source>
            <translation>Läufe sind nicht durch</translation>
        </message>
        <message>
            <source>Pause them and close? What is done stays done; at the next start they are there, and go on when you say so.</source>
            <translation>Pausieren und schließen? Was getan ist, bleibt getan; beim nächsten Start sind sie da und gehen weiter, wenn Sie es sagen.</translation>
        </message>
        <message>
            <source>There is nothing on the bench.</source>
            <translation>Auf der Werkbank liegt nichts.</translation>
        </message>
        <message>
            <source>Tavlo is not completely installed. Missing: %1. Install it again.</source>
            <translation>Tavlo ist nicht vollständig installiert. Es fehlt: %1. Bitte neu installieren.</translation>
        </message>
        <message>
            <source>Not done: %1</source>
            <translation>Nicht getan: %1</translation>
        </message>
        <message>
            <source>Put something on the bench first: what the job is to take.</source>
            <translation>Erst etwas auf die Werkbank legen: was der Auftrag nehmen soll.</translation>
        </message>
        <message>
            <source>Say first where it is to go.</source>
            <translation>Erst sagen, wohin es gehen soll.</translation>
        </message>
        <message>
            <source>Kept; it is among the saved jobs.</source>
            <translation>Behalten; er steht unter den Aufträgen.</translation>
        </message>
        <message>
            <source>&amp;File</source>
            <translation>&amp;Datei</translation>
        </message>
        <message>
            <source>&amp;Start</source>
            <translation>&amp;Starten</translation>
        </message>
        <message>
            <source>Choose the &amp;destination…</source>
            <translation>Das &amp;Ziel wählen …</translation>
        </message>
        <message>
            <source>Put into the folder &amp;shown</source>
            <translation>In den &amp;gezeigten Ordner</translation>
        </message>
        <message>
            <source>&amp;Write the outcome to a file…</source>
            <translation>Das Ergebnis in eine Datei sch&amp;reiben …</translation>
        </message>
        <message>
            <source>&amp;Print the outcome…</source>
            <translation>Das Ergebnis &amp;drucken …</translation>
        </message>
        <message>
            <source>Copies begin while they are &amp;counted</source>
            <translation>Kopieren beginnt noch beim &amp;Zählen</translation>
        </message>
        <message>
            <source>S&amp;ettings…</source>
            <translation>&amp;Einstellungen …</translation>
        </message>
        <message>
            <source>&amp;Quit</source>
            <translation>&amp;Beenden</translation>
        </message>
        <message>
            <source>&amp;Edit</source>
            <translation>&amp;Bearbeiten</translation>
        </message>
        <message>
            <source>Undo</source>
            <translation>Rückgängig</translation>
        </message>
        <message>
            <source>Do again</source>
            <translation>Wiederholen</translation>
        </message>
        <message>
            <source>Undo: %1</source>
            <translation>Rückgängig: %1</translation>
        </message>
        <message>
            <source>Do again: %1</source>
            <translation>Wiederholen: %1</translation>
        </message>
        <message>
            <source>C&amp;ut: take in hand to move</source>
            <translation>&amp;Ausschneiden: in die Hand nehmen, um zu verschieben</translation>
        </message>
        <message>
            <source>&amp;Copy: take in hand to copy</source>
            <translation>&amp;Kopieren: in die Hand nehmen, um zu kopieren</translation>
        </message>
        <message>
            <source>&amp;Paste: put into the folder shown</source>
            <translation>Ein&amp;fügen: in den gezeigten Ordner</translation>
        </message>
        <message>
            <source>&amp;Select the others instead</source>
            <translation>Die anderen &amp;wählen</translation>
        </message>
        <message>
            <source>&amp;Filter names here</source>
            <translation>Namen hier &amp;filtern</translation>
        </message>
        <message>
            <source>&amp;New folder…</source>
            <translation>&amp;Neuer Ordner …</translation>
        </message>
        <message>
            <source>&amp;Rename…</source>
            <translation>&amp;Umbenennen …</translation>
        </message>
        <message>
            <source>Move to the &amp;trash</source>
            <translation>In den &amp;Papierkorb</translation>
        </message>
        <message>
            <source>&amp;Help</source>
            <translation>&amp;Hilfe</translation>
        </message>
        <message>
            <source>&amp;Keys</source>
            <translation>&amp;Tasten</translation>
        </message>
        <message>
            <source>&amp;Manual</source>
            <translation>&amp;Handbuch</translation>
        </message>
        <message>
            <source>&amp;Find an action…</source>
            <translation>Eine Aktion &amp;finden …</translation>
        </message>
        <message>
            <source>&amp;About Tavlo</source>
            <translation>Ü&amp;ber Tavlo</translation>
        </message>
        <message>
            <source>About Tavlo</source>
            <translation>Über Tavlo</translation>
        </message>
        <message>
            <source>Tavlo copies and moves batches of files, and never loses one on the way.

GPL-3.0-or-later</source>
            <translation>Tavlo kopiert und verschiebt Stapel von Dateien und verliert unterwegs keine.

GPL-3.0-or-later</translation>
        </message>
        <message>
            <source>&amp;Batch</source>
            <translation>&amp;Stapel</translation>
        </message>
        <message>
            <source>&amp;Pick or drop the selected rows</source>
            <translation>Gewählte Zeilen &amp;greifen oder loslassen</translation>
        </message>
        <message>
            <source>Pick all files &amp;shown</source>
            <translation>Alle &amp;gezeigten Dateien greifen</translation>
        </message>
        <message>
            <source>Pick by &amp;typing</source>
            <translation>Durch &amp;Tippen greifen</translation>
        </message>
        <message>
            <source>Pick what a &amp;list names…</source>
            <translation>Greifen, was eine &amp;Liste nennt …</translation>
        </message>
        <message>
            <source>&amp;Empty the batch</source>
            <translation>Den Stapel &amp;leeren</translation>
        </message>
        <message>
            <source>New names &amp;where it is</source>
            <translation>Neue Namen, &amp;wo es ist</translation>
        </message>
        <message>
            <source>&amp;Sort into folders by what files tell</source>
            <translation>In Ordner &amp;sortieren nach dem, was Dateien sagen</translation>
        </message>
        <message>
            <source>&amp;Pack into an archive</source>
            <translation>In ein Archiv &amp;packen</translation>
        </message>
        <message>
            <source>&amp;Unpack archives</source>
            <translation>Archive &amp;auspacken</translation>
        </message>
        <message>
            <source>Pick archives first, and nothing else: what lies in them is unpacked.</source>
            <translation>Erst Archive greifen und nichts anderes: ausgepackt wird, was darin liegt.</translation>
        </message>
        <message>
            <source>&amp;Remove</source>
            <translation>&amp;Entfernen</translation>
        </message>
        <message>
            <source>&amp;Hand over to another window</source>
            <translation>An ein anderes Fenster ü&amp;bergeben</translation>
        </message>
        <message>
            <source>&amp;Keep as a job…</source>
            <translation>Als Auftrag &amp;behalten …</translation>
        </message>
        <message>
            <source>&amp;Find in the destination as it will be</source>
            <translation>Im Ziel, wie es wird, &amp;suchen</translation>
        </message>
        <message>
            <source>&amp;Next undecided</source>
            <translation>&amp;Nächstes Unentschiedenes</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Überspringen</translation>
        </message>
        <message>
            <source>Overwrite, the old one to the Safe</source>
            <translation>Überschreiben, das alte in den Tresor</translation>
        </message>
        <message>
            <source>Rename the incoming one</source>
            <translation>Das Ankommende umbenennen</translation>
        </message>
        <message>
            <source>Leave undecided</source>
            <translation>Unentschieden lassen</translation>
        </message>
        <message>
            <source>&amp;View</source>
            <translation>&amp;Ansicht</translation>
        </message>
        <message>
            <source>&amp;Bench</source>
            <translation>&amp;Werkbank</translation>
        </message>
        <message>
            <source>&amp;Collisions</source>
            <translation>&amp;Zusammentreffen</translation>
        </message>
        <message>
            <source>R&amp;uns</source>
            <translation>&amp;Läufe</translation>
        </message>
        <message>
            <source>&amp;Receipts</source>
            <translation>&amp;Quittungen</translation>
        </message>
        <message>
            <source>&amp;Safe</source>
            <translation>&amp;Tresor</translation>
        </message>
        <message>
            <source>Saved &amp;jobs</source>
            <translation>&amp;Aufträge</translation>
        </message>
        <message>
            <source>Si&amp;zes: what stands out below the folder on view</source>
            <translation>&amp;Größen: was unter dem gezeigten Ordner auffällt</translation>
        </message>
        <message>
            <source>Folder bac&amp;k</source>
            <translation>Ordner &amp;zurück</translation>
        </message>
        <message>
            <source>Folder &amp;forward</source>
            <translation>Ordner &amp;vor</translation>
        </message>
        <message>
            <source>Folder &amp;above</source>
            <translation>Ordner &amp;darüber</translation>
        </message>
        <message>
            <source>Look &amp;again</source>
            <translation>&amp;Noch einmal nachsehen</translation>
        </message>
        <message>
            <source>&amp;Type a folder's path</source>
            <translation>Den &amp;Pfad eines Ordners tippen</translation>
        </message>
        <message>
            <source>Another &amp;window</source>
            <translation>Weiteres &amp;Fenster</translation>
        </message>
        <message>
            <source>L&amp;ook at the current file</source>
            <translation>Ein &amp;Blick auf die aktuelle Datei</translation>
        </message>
        <message>
            <source>The folder as small &amp;pictures</source>
            <translation>Der Ordner als kleine B&amp;ilder</translation>
        </message>
        <message>
            <source>&amp;Hidden files</source>
            <translation>&amp;Verborgene Dateien</translation>
        </message>
        <message>
            <source>&amp;Looks</source>
            <translation>&amp;Aussehen</translation>
        </message>
        <message>
            <source>As the &amp;desktop</source>
            <translation>Wie die &amp;Arbeitsumgebung</translation>
        </message>
        <message>
            <source>&amp;Light</source>
            <translation>&amp;Hell</translation>
        </message>
        <message>
            <source>D&amp;ark</source>
            <translation>&amp;Dunkel</translation>
        </message>
        <message numerus="yes">
            <source>%Ln of the batch are no longer there, and were left out.</source>
            <translation>
                <numerusform>%Ln aus dem Stapel ist nicht mehr da und blieb weg.</numerusform>
                <numerusform>%Ln aus dem Stapel sind nicht mehr da und blieben weg.</numerusform>
            </translation>
        </message>
        <message>
            <source>What is in hand is not kept when the window closes: nothing can be written in %1.</source>
            <translation>Was in der Hand ist, wird beim Schließen des Fensters nicht behalten: in %1 kann nichts geschrieben werden.</translation>
        </message>
        <message>
            <source>%1 – Tavlo</source>
            <translation>%1 – Tavlo</translation>
        </message>
        <message>
            <source>Nothing came in with this run.</source>
            <translation>Mit diesem Lauf kam nichts an.</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Greifen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln picked; they are in hand on the bench.</source>
            <translation>
                <numerusform>%Ln gegriffen; es liegt auf der Werkbank in der Hand.</numerusform>
                <numerusform>%Ln gegriffen; sie liegen auf der Werkbank in der Hand.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>ManualWindow</name>
        <message>
            <source>Manual</source>
            <translation>Handbuch</translation>
        </message>
        <message>
            <source>Search all pages</source>
            <translation>Alle Seiten durchsuchen</translation>
        </message>
        <message>
            <source>Pages</source>
            <translation>Seiten</translation>
        </message>
        <message>
            <source>Page</source>
            <translation>Seite</translation>
        </message>
    </context>
    <context>
        <name>NamePatternDialog</name>
        <message>
            <source>A pattern for new names</source>
            <translation>Ein Muster für neue Namen</translation>
        </message>
        <message>
            <source>{name} and {ext} of the file, {date} and {time} of its change, {folder} it comes from, {n} counted up from 2</source>
            <translation>{name} und {ext} der Datei, {date} und {time} ihrer Änderung, {folder}, aus dem sie kommt, {n} gezählt ab 2</translation>
        </message>
        <message>
            <source>Pattern</source>
            <translation>Muster</translation>
        </message>
        <message>
            <source>Use it</source>
            <translation>Benutzen</translation>
        </message>
        <message>
            <source>Harbour desk</source>
            <translation>Hafenbüro</translation>
        </message>
        <message>
            <source>report.pdf becomes %1</source>
            <translation>bericht.pdf wird %1</translation>
        </message>
    </context>
    <context>
        <name>NameStepRow</name>
        <message>
            <source>In &amp;front</source>
            <translation>&amp;Davor</translation>
        </message>
        <message>
            <source>&amp;Behind</source>
            <translation>Da&amp;hinter</translation>
        </message>
        <message>
            <source>&amp;Instead of</source>
            <translation>&amp;Statt</translation>
        </message>
        <message>
            <source>Instead of &amp;what fits</source>
            <translation>Statt dessen, was &amp;passt</translation>
        </message>
        <message>
            <source>&amp;Letters</source>
            <translation>&amp;Buchstaben</translation>
        </message>
        <message>
            <source>&amp;Numbers</source>
            <translation>&amp;Zahlen</translation>
        </message>
        <message>
            <source>&amp;Extension</source>
            <translation>&amp;Endung</translation>
        </message>
        <message>
            <source>Named &amp;anew</source>
            <translation>&amp;Neu benannt</translation>
        </message>
        <message>
            <source>By a &amp;table</source>
            <translation>Nach einer &amp;Tabelle</translation>
        </message>
        <message>
            <source>Take this step out</source>
            <translation>Diesen Schritt herausnehmen</translation>
        </message>
        <message>
            <source>What the step does</source>
            <translation>Was der Schritt tut</translation>
        </message>
        <message>
            <source>text</source>
            <translation>Text</translation>
        </message>
        <message>
            <source>old text</source>
            <translation>alter Text</translation>
        </message>
        <message>
            <source>put</source>
            <translation>setze</translation>
        </message>
        <message>
            <source>new text, or nothing</source>
            <translation>neuer Text, oder nichts</translation>
        </message>
        <message>
            <source>expression (RE2)</source>
            <translation>Ausdruck (RE2)</translation>
        </message>
        <message>
            <source>new text; \1 a group</source>
            <translation>neuer Text; \1 eine Gruppe</translation>
        </message>
        <message>
            <source>Letters</source>
            <translation>Buchstaben</translation>
        </message>
        <message>
            <source>all lower case</source>
            <translation>alles klein</translation>
        </message>
        <message>
            <source>all capitals</source>
            <translation>alles groß</translation>
        </message>
        <message>
            <source>a capital for each word</source>
            <translation>jedes Wort groß begonnen</translation>
        </message>
        <message>
            <source>Which numbers</source>
            <translation>Welche Zahlen</translation>
        </message>
        <message>
            <source>all of them</source>
            <translation>alle</translation>
        </message>
        <message>
            <source>the first</source>
            <translation>die erste</translation>
        </message>
        <message>
            <source>the last</source>
            <translation>die letzte</translation>
        </message>
        <message>
            <source>grow by</source>
            <translation>wachsen um</translation>
        </message>
        <message>
            <source>By how much numbers grow</source>
            <translation>Um wie viel Zahlen wachsen</translation>
        </message>
        <message>
            <source>Extension</source>
            <translation>Endung</translation>
        </message>
        <message>
            <source>in lower case</source>
            <translation>klein geschrieben</translation>
        </message>
        <message>
            <source>in capitals</source>
            <translation>groß geschrieben</translation>
        </message>
        <message>
            <source>none</source>
            <translation>keine</translation>
        </message>
        <message>
            <source>another:</source>
            <translation>eine andere:</translation>
        </message>
        <message>
            <source>without its dot</source>
            <translation>ohne ihren Punkt</translation>
        </message>
        <message>
            <source>pattern</source>
            <translation>Muster</translation>
        </message>
        <message>
            <source>Text with fields in braces: {name} {ext} {n:3} {number} {changed:%Y-%m-%d} {folder} {size} {kind} {initial}.
{a|b} takes the first that is known, {a|=text} text where none is; upper, lower and first shape it.</source>
            <translation>Text mit Feldern in Klammern: {name} {ext} {n:3} {number} {changed:%Y-%m-%d} {folder} {size} {kind} {initial}.
{a|b} nimmt das erste Bekannte, {a|=text} Text, wo keines bekannt ist; upper, lower und first formen es.</translation>
        </message>
        <message>
            <source>from</source>
            <translation>ab</translation>
        </message>
        <message>
            <source>Counting from</source>
            <translation>Gezählt ab</translation>
        </message>
        <message>
            <source>by</source>
            <translation>um</translation>
        </message>
        <message>
            <source>Counting by</source>
            <translation>Gezählt in Schritten von</translation>
        </message>
        <message>
            <source>a file: old name, tab, new name</source>
            <translation>eine Datei: alter Name, Tabulator, neuer Name</translation>
        </message>
        <message>
            <source>Choose…</source>
            <translation>Wählen …</translation>
        </message>
        <message>
            <source>A table of names: old name, tab, new name, a line each</source>
            <translation>Eine Tabelle von Namen: alter Name, Tabulator, neuer Name, eine Zeile je Name</translation>
        </message>
        <message>
            <source>changes nothing here</source>
            <translation>ändert hier nichts</translation>
        </message>
        <message>
            <source>→ %1</source>
            <translation>→ %1</translation>
        </message>
    </context>
    <context>
        <name>NameStepsPanel</name>
        <message>
            <source>New names, step by step</source>
            <translation>Neue Namen, Schritt für Schritt</translation>
        </message>
        <message>
            <source>Add a step</source>
            <translation>Einen Schritt hinzufügen</translation>
        </message>
        <message>
            <source>Table of names</source>
            <translation>Tabelle von Namen</translation>
        </message>
        <message>
            <source>Paste one: old name, tab, new name, a line each</source>
            <translation>Eine einfügen: alter Name, Tabulator, neuer Name, eine Zeile je Name</translation>
        </message>
        <message>
            <source>Write the names of now to one…</source>
            <translation>Die jetzigen Namen in eine schreiben …</translation>
        </message>
        <message>
            <source>Kept steps</source>
            <translation>Behaltene Schritte</translation>
        </message>
        <message>
            <source>extensions too</source>
            <translation>auch Endungen</translation>
        </message>
        <message>
            <source>Steps see the whole name, not only what is before the extension</source>
            <translation>Schritte sehen den ganzen Namen, nicht nur, was vor der Endung steht</translation>
        </message>
        <message numerus="yes">
            <source>%1 (and %Ln more)</source>
            <translation>
                <numerusform>%1 (und %Ln weiteres)</numerusform>
                <numerusform>%1 (und %Ln weitere)</numerusform>
            </translation>
        </message>
        <message>
            <source>stays</source>
            <translation>bleibt</translation>
        </message>
        <message>
            <source>Keep these under a name…</source>
            <translation>Diese unter einem Namen behalten …</translation>
        </message>
        <message>
            <source>Keep these steps</source>
            <translation>Diese Schritte behalten</translation>
        </message>
        <message>
            <source>Kept as %1.</source>
            <translation>Als %1 behalten.</translation>
        </message>
        <message>
            <source>The clipboard holds no table: lines of old name, tab, new name.</source>
            <translation>Die Zwischenablage enthält keine Tabelle: Zeilen aus altem Namen, Tabulator, neuem Namen.</translation>
        </message>
        <message>
            <source>Write the names to a table</source>
            <translation>Die Namen in eine Tabelle schreiben</translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>In %1 geschrieben.</translation>
        </message>
        <message>
            <source>Steps of the new names</source>
            <translation>Schritte der neuen Namen</translation>
        </message>
    </context>
    <context>
        <name>Opening</name>
        <message>
            <source>Open in its own program</source>
            <translation>Im eigenen Programm öffnen</translation>
        </message>
        <message>
            <source>Open the folder it lies in</source>
            <translation>Den Ordner öffnen, in dem es liegt</translation>
        </message>
        <message>
            <source>Copy its path as text</source>
            <translation>Den Pfad als Text kopieren</translation>
        </message>
    </context>
    <context>
        <name>OutcomeModel</name>
        <message>
            <source>its name now: %1</source>
            <translation>sein Name jetzt: %1</translation>
        </message>
        <message>
            <source>%1, there already</source>
            <translation>%1, schon dort</translation>
        </message>
        <message>
            <source>%1/</source>
            <translation>%1/</translation>
        </message>
        <message>
            <source>from %1
to %2</source>
            <translation>aus %1
nach %2</translation>
        </message>
        <message>
            <source>%1, %2 %3</source>
            <translation>%1, %2 %3</translation>
        </message>
        <message>
            <source>%1 there now, %2, %3</source>
            <translation>%1 jetzt dort, %2, %3</translation>
        </message>
        <message>
            <source>also from the batch</source>
            <translation>auch aus dem Stapel</translation>
        </message>
        <message>
            <source>there now, a folder</source>
            <translation>jetzt dort, ein Ordner</translation>
        </message>
        <message>
            <source>there now, a link</source>
            <translation>jetzt dort, ein Link</translation>
        </message>
        <message>
            <source>there now</source>
            <translation>jetzt dort</translation>
        </message>
        <message>
            <source>there now, a file</source>
            <translation>jetzt dort, eine Datei</translation>
        </message>
        <message>
            <source>there now, a special file</source>
            <translation>jetzt dort, eine besondere Datei</translation>
        </message>
        <message>
            <source>could be %1</source>
            <translation>könnte %1 sein</translation>
        </message>
        <message>
            <source>old one to the Safe</source>
            <translation>das alte in den Tresor</translation>
        </message>
        <message>
            <source>%1 is taken</source>
            <translation>%1 ist vergeben</translation>
        </message>
        <message>
            <source>as %1</source>
            <translation>als %1</translation>
        </message>
        <message>
            <source>with the folder there</source>
            <translation>mit dem Ordner dort</translation>
        </message>
        <message>
            <source>with its folder</source>
            <translation>mit seinem Ordner</translation>
        </message>
        <message>
            <source>skip</source>
            <translation>überspringen</translation>
        </message>
        <message>
            <source>skip; stays as it is</source>
            <translation>überspringen; bleibt, wie es ist</translation>
        </message>
        <message>
            <source>one is a folder</source>
            <translation>eines ist ein Ordner</translation>
        </message>
        <message>
            <source>this one from %1</source>
            <translation>dieses aus %1</translation>
        </message>
        <message>
            <source>typed by hand</source>
            <translation>von Hand getippt</translation>
        </message>
        <message numerus="yes">
            <source>%Ln files arrive</source>
            <translation>
                <numerusform>%Ln Datei kommt an</numerusform>
                <numerusform>%Ln Dateien kommen an</numerusform>
            </translation>
        </message>
        <message>
            <source>an empty folder</source>
            <translation>ein leerer Ordner</translation>
        </message>
        <message>
            <source>the copy to the Safe</source>
            <translation>die Kopie in den Tresor</translation>
        </message>
        <message>
            <source>if it is empty by then</source>
            <translation>wenn er bis dahin leer ist</translation>
        </message>
        <message numerus="yes">
            <source>with %Ln files, %1</source>
            <translation>
                <numerusform>mit %Ln Datei, %1</numerusform>
                <numerusform>mit %Ln Dateien, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>undo brings it back</source>
            <translation>der Rückgang bringt es wieder</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Geändert</translation>
        </message>
        <message>
            <source>What happens</source>
            <translation>Was geschieht</translation>
        </message>
        <message>
            <source>%1, undecided: %2 %3</source>
            <translation>%1, unentschieden: %2 %3</translation>
        </message>
    </context>
    <context>
        <name>OutcomeSide</name>
        <message>
            <source>Type another name…	F2</source>
            <translation>Einen anderen Namen tippen …	F2</translation>
        </message>
        <message>
            <source>Its name by the steps again</source>
            <translation>Sein Name wieder nach den Schritten</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Überspringen</translation>
        </message>
        <message>
            <source>Overwrite, the old one to the Safe</source>
            <translation>Überschreiben, das alte in den Tresor</translation>
        </message>
        <message>
            <source>Rename the incoming one</source>
            <translation>Das Ankommende umbenennen</translation>
        </message>
        <message>
            <source>Undecided</source>
            <translation>Unentschieden</translation>
        </message>
        <message numerus="yes">
            <source>Say a fact of %Ln items, for this batch</source>
            <translation>
                <numerusform>Eine Angabe zu %Ln Element sagen, für diesen Stapel</numerusform>
                <numerusform>Eine Angabe zu %Ln Elementen sagen, für diesen Stapel</numerusform>
            </translation>
        </message>
        <message>
            <source>%1…</source>
            <translation>%1 …</translation>
        </message>
        <message>
            <source>%1 as the file tells it</source>
            <translation>%1, wie die Datei es sagt</translation>
        </message>
        <message>
            <source>%1, as 2031-05-02 or 2031:</source>
            <translation>%1, wie 2031-05-02 oder 2031:</translation>
        </message>
        <message>
            <source>%1:</source>
            <translation>%1:</translation>
        </message>
        <message>
            <source>Say a fact</source>
            <translation>Eine Angabe sagen</translation>
        </message>
        <message>
            <source>Destination</source>
            <translation>Ziel</translation>
        </message>
        <message>
            <source>Item by item</source>
            <translation>Stück für Stück</translation>
        </message>
        <message>
            <source>In hand</source>
            <translation>In der Hand</translation>
        </message>
        <message>
            <source>What was picked, and where it comes from</source>
            <translation>Was gegriffen ist, und woher es kommt</translation>
        </message>
        <message>
            <source>Find a name in the destination as it will be</source>
            <translation>Einen Namen im Ziel, wie es wird, suchen</translation>
        </message>
        <message>
            <source>Find a name</source>
            <translation>Einen Namen suchen</translation>
        </message>
        <message>
            <source>The destination as it will be</source>
            <translation>Das Ziel, wie es wird</translation>
        </message>
        <message>
            <source>Next</source>
            <translation>Weiter</translation>
        </message>
        <message>
            <source>To the next one that is undecided (N). On it: 1 skip, 2 overwrite, 3 rename, 0 undecided</source>
            <translation>Zum nächsten Unentschiedenen (N). Darauf: 1 überspringen, 2 überschreiben, 3 umbenennen, 0 unentschieden</translation>
        </message>
        <message>
            <source>What the destination cannot hold under its name arrives under the nearest one that it can; each is listed as renamed</source>
            <translation>Was das Ziel unter seinem Namen nicht halten kann, kommt unter dem nächstmöglichen an; jedes ist als umbenannt aufgeführt</translation>
        </message>
        <message>
            <source>There is nothing to write yet: pick files and choose a destination.</source>
            <translation>Noch ist nichts zu schreiben: Dateien greifen und ein Ziel wählen.</translation>
        </message>
        <message>
            <source>Write the destination as it will be</source>
            <translation>Das Ziel, wie es wird, schreiben</translation>
        </message>
        <message>
            <source>Tree (*.txt);;Table (*.csv);;Plan document (*.json)</source>
            <translation>Baum (*.txt);;Tabelle (*.csv);;Plandokument (*.json)</translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>In %1 geschrieben.</translation>
        </message>
        <message>
            <source>There is nothing to print yet: pick files and choose a destination.</source>
            <translation>Noch ist nichts zu drucken: Dateien greifen und ein Ziel wählen.</translation>
        </message>
        <message>
            <source>Drop onto the destination</source>
            <translation>Auf das Ziel ziehen</translation>
        </message>
        <message>
            <source>Pick what is to go: a click at the edge of a row on the left, or Space.</source>
            <translation>Greifen, was gehen soll: links am Rand einer Zeile klicken, oder Leertaste.</translation>
        </message>
        <message>
            <source>Say where it goes: the amber words in the sentence, or Put here while that folder is on view.</source>
            <translation>Sagen, wohin es geht: die bernsteinfarbenen Wörter im Satz, oder Hierher, während der Ordner gezeigt wird.</translation>
        </message>
        <message>
            <source>Look here at what will happen, before anything does; decide what is asked, and start.</source>
            <translation>Hier ansehen, was geschehen wird, bevor es geschieht; entscheiden, was gefragt ist, und starten.</translation>
        </message>
        <message>
            <source>Only these of the batch</source>
            <translation>Nur diese aus dem Stapel</translation>
        </message>
        <message>
            <source>The batch, item by item</source>
            <translation>Der Stapel, Stück für Stück</translation>
        </message>
        <message>
            <source>%1 as it will be</source>
            <translation>%1, wie es wird</translation>
        </message>
        <message>
            <source>The folders as they will be</source>
            <translation>Die Ordner, wie sie werden</translation>
        </message>
        <message>
            <source>Folders</source>
            <translation>Ordner</translation>
        </message>
        <message numerus="yes">
            <source>%Ln in hand</source>
            <translation>
                <numerusform>%Ln in der Hand</numerusform>
                <numerusform>%Ln in der Hand</numerusform>
            </translation>
        </message>
        <message>
            <source>No destination yet</source>
            <translation>Noch kein Ziel</translation>
        </message>
        <message>
            <source>Leave out what needs another name</source>
            <translation>Weglassen, was einen anderen Namen braucht</translation>
        </message>
        <message numerus="yes">
            <source>Use other names for %Ln</source>
            <translation>
                <numerusform>Andere Namen für %Ln benutzen</numerusform>
                <numerusform>Andere Namen für %Ln benutzen</numerusform>
            </translation>
        </message>
        <message>
            <source>Here you will see the folders as they will be, before anything happens.</source>
            <translation>Hier stehen die Ordner, wie sie sein werden, bevor irgendetwas geschieht.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln get new names</source>
            <translation>
                <numerusform>%Ln bekommt einen neuen Namen</numerusform>
                <numerusform>%Ln bekommen neue Namen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln arrive</source>
            <translation>
                <numerusform>%Ln kommt an</numerusform>
                <numerusform>%Ln kommen an</numerusform>
            </translation>
        </message>
        <message>
            <source>nothing arrives</source>
            <translation>nichts kommt an</translation>
        </message>
        <message numerus="yes">
            <source>%Ln replace</source>
            <translation>
                <numerusform>%Ln ersetzt</numerusform>
                <numerusform>%Ln ersetzen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln stay as they are</source>
            <translation>
                <numerusform>%Ln bleibt, wie es ist</numerusform>
                <numerusform>%Ln bleiben, wie sie sind</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln leave</source>
            <translation>
                <numerusform>%Ln geht</numerusform>
                <numerusform>%Ln gehen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln files stay beside them, %1 of them newer than a week</source>
            <translation>
                <numerusform>%Ln Datei bleibt daneben, %1 davon jünger als eine Woche</numerusform>
                <numerusform>%Ln Dateien bleiben daneben, %1 davon jünger als eine Woche</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln files stay beside them</source>
            <translation>
                <numerusform>%Ln Datei bleibt daneben</numerusform>
                <numerusform>%Ln Dateien bleiben daneben</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln cannot be done</source>
            <translation>
                <numerusform>%Ln nicht möglich</numerusform>
                <numerusform>%Ln nicht möglich</numerusform>
            </translation>
        </message>
        <message>
            <source>Nothing is on its way here.</source>
            <translation>Nichts ist hierher unterwegs.</translation>
        </message>
        <message>
            <source>No name in the destination as it will be fits “%1”.</source>
            <translation>Kein Name im Ziel, wie es wird, passt zu „%1“.</translation>
        </message>
        <message>
            <source>The batch is empty.</source>
            <translation>Der Stapel ist leer.</translation>
        </message>
        <message>
            <source>Pick what it is about on the left.</source>
            <translation>Links greifen, worum es geht.</translation>
        </message>
        <message>
            <source>This folder will be empty.</source>
            <translation>Dieser Ordner wird leer sein.</translation>
        </message>
        <message>
            <source>This folder is empty.</source>
            <translation>Dieser Ordner ist leer.</translation>
        </message>
        <message>
            <source>This folder is not there yet; the run will make it.</source>
            <translation>Diesen Ordner gibt es noch nicht; der Lauf legt ihn an.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln to settle</source>
            <translation>
                <numerusform>%Ln zu klären</numerusform>
                <numerusform>%Ln zu klären</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>OwnRuleDialog</name>
        <message>
            <source>My own rule, where a name is taken</source>
            <translation>Meine eigene Regel, wo ein Name vergeben ist</translation>
        </message>
        <message>
            <source>incoming smaller</source>
            <translation>Ankommendes kleiner</translation>
        </message>
        <message>
            <source>same size</source>
            <translation>gleich groß</translation>
        </message>
        <message>
            <source>incoming larger</source>
            <translation>Ankommendes größer</translation>
        </message>
        <message>
            <source>same bytes</source>
            <translation>dieselben Bytes</translation>
        </message>
        <message>
            <source>incoming newer</source>
            <translation>Ankommendes neuer</translation>
        </message>
        <message>
            <source>incoming older</source>
            <translation>Ankommendes älter</translation>
        </message>
        <message>
            <source>same date, other bytes</source>
            <translation>gleiches Datum, andere Bytes</translation>
        </message>
        <message>
            <source>a file and a folder</source>
            <translation>eine Datei und ein Ordner</translation>
        </message>
        <message>
            <source>two of the batch</source>
            <translation>zwei aus dem Stapel</translation>
        </message>
        <message>
            <source>Use this rule</source>
            <translation>Diese Regel benutzen</translation>
        </message>
        <message>
            <source>ask me</source>
            <translation>mich fragen</translation>
        </message>
        <message>
            <source>skip</source>
            <translation>überspringen</translation>
        </message>
        <message>
            <source>overwrite</source>
            <translation>überschreiben</translation>
        </message>
        <message>
            <source>rename</source>
            <translation>umbenennen</translation>
        </message>
    </context>
    <context>
        <name>PackDialog</name>
        <message>
            <source>zip: to send; everybody can open it</source>
            <translation>zip: zum Verschicken; jeder kann es öffnen</translation>
        </message>
        <message>
            <source>tar: without compression</source>
            <translation>tar: ohne Verdichtung</translation>
        </message>
        <message>
            <source>tar.gz: for other Unix machines</source>
            <translation>tar.gz: für andere Unix-Rechner</translation>
        </message>
        <message>
            <source>tar.xz: to put away; smallest, slowest</source>
            <translation>tar.xz: zum Weglegen; am kleinsten, am langsamsten</translation>
        </message>
        <message>
            <source>tar.zst: to put away in a hurry</source>
            <translation>tar.zst: zum eiligen Weglegen</translation>
        </message>
        <message>
            <source>Keeps permissions, links, empty folders and dates to the second. Not owners, notes of programs (extended attributes), or that two names are one file.</source>
            <translation>Bewahrt Rechte, Links, leere Ordner und Daten auf die Sekunde. Nicht Besitzer, Vermerke von Programmen (erweiterte Attribute), oder dass zwei Namen eine Datei sind.</translation>
        </message>
        <message>
            <source>Keeps everything: owners, permissions, dates, links, notes of programs, holes.</source>
            <translation>Bewahrt alles: Besitzer, Rechte, Daten, Links, Vermerke von Programmen, Löcher.</translation>
        </message>
        <message>
            <source>little: fast</source>
            <translation>wenig: schnell</translation>
        </message>
        <message>
            <source>as usual</source>
            <translation>wie üblich</translation>
        </message>
        <message>
            <source>much: small, and slow</source>
            <translation>viel: klein und langsam</translation>
        </message>
        <message>
            <source>Pack into an archive</source>
            <translation>In ein Archiv packen</translation>
        </message>
        <message>
            <source>Choose…</source>
            <translation>Wählen …</translation>
        </message>
        <message>
            <source>Then remove them, to the Safe: each file once it is proved to be in the archive</source>
            <translation>Danach entfernen, in den Tresor: jede Datei, sobald erwiesen ist, dass sie im Archiv ist</translation>
        </message>
        <message>
            <source>&amp;Folder</source>
            <translation>&amp;Ordner</translation>
        </message>
        <message>
            <source>&amp;Name</source>
            <translation>&amp;Name</translation>
        </message>
        <message>
            <source>F&amp;ormat</source>
            <translation>&amp;Format</translation>
        </message>
        <message>
            <source>&amp;Compression</source>
            <translation>&amp;Verdichtung</translation>
        </message>
        <message>
            <source>Use it</source>
            <translation>Benutzen</translation>
        </message>
        <message>
            <source>Where the archive is to be</source>
            <translation>Wo das Archiv liegen soll</translation>
        </message>
        <message>
            <source>The folder is a path that begins with /.</source>
            <translation>Der Ordner ist ein Pfad, der mit / beginnt.</translation>
        </message>
        <message>
            <source>The archive wants a name.</source>
            <translation>Das Archiv braucht einen Namen.</translation>
        </message>
        <message>
            <source>No file can have this name.</source>
            <translation>Keine Datei kann so heißen.</translation>
        </message>
        <message>
            <source>It has its name once everything was read back out of it and compared.</source>
            <translation>Es bekommt seinen Namen, sobald alles wieder aus ihm gelesen und verglichen ist.</translation>
        </message>
    </context>
    <context>
        <name>PairModel</name>
        <message>
            <source>a folder</source>
            <translation>ein Ordner</translation>
        </message>
        <message>
            <source>a link</source>
            <translation>ein Link</translation>
        </message>
        <message>
            <source>special</source>
            <translation>besondere</translation>
        </message>
        <message>
            <source>from %1</source>
            <translation>ab %1</translation>
        </message>
        <message>
            <source>same bytes</source>
            <translation>dieselben Bytes</translation>
        </message>
        <message>
            <source>is there as %1</source>
            <translation>ist dort als %1</translation>
        </message>
        <message>
            <source>not compared yet</source>
            <translation>noch nicht verglichen</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Incoming</source>
            <translation>Kommt an</translation>
        </message>
        <message>
            <source>There now</source>
            <translation>Jetzt dort</translation>
        </message>
        <message>
            <source>In words</source>
            <translation>In Worten</translation>
        </message>
        <message>
            <source>Decision</source>
            <translation>Entscheidung</translation>
        </message>
    </context>
    <context>
        <name>PastRuns</name>
        <message>
            <source>no longer there</source>
            <translation>nicht mehr da</translation>
        </message>
        <message>
            <source>other bytes now</source>
            <translation>jetzt andere Bytes</translation>
        </message>
        <message>
            <source>other attributes now</source>
            <translation>jetzt andere Attribute</translation>
        </message>
        <message>
            <source>cannot be read now</source>
            <translation>jetzt nicht lesbar</translation>
        </message>
    </context>
    <context>
        <name>PickBox</name>
        <message>
            <source>Pick by typing a part of a name</source>
            <translation>Durch Tippen eines Namensteils greifen</translation>
        </message>
        <message>
            <source>Pick by typing…</source>
            <translation>Greifen durch Tippen …</translation>
        </message>
        <message>
            <source>a few characters, then Return</source>
            <translation>ein paar Zeichen, dann Eingabe</translation>
        </message>
        <message>
            <source>the names are still being read</source>
            <translation>die Namen werden noch gelesen</translation>
        </message>
        <message>
            <source>no name here has “%1”</source>
            <translation>kein Name hier enthält „%1“</translation>
        </message>
        <message numerus="yes">
            <source>%Ln left: type on, or arrows</source>
            <translation>
                <numerusform>%Ln übrig: weiter tippen, oder Pfeiltasten</numerusform>
                <numerusform>%Ln übrig: weiter tippen, oder Pfeiltasten</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 is in the batch already</source>
            <translation>%1 ist schon im Stapel</translation>
        </message>
        <message>
            <source>Return adds %1</source>
            <translation>Eingabe nimmt %1 dazu</translation>
        </message>
        <message numerus="yes">
            <source>%Ln left, nothing added: type on</source>
            <translation>
                <numerusform>%Ln übrig, nichts dazugenommen: weiter tippen</numerusform>
                <numerusform>%Ln übrig, nichts dazugenommen: weiter tippen</numerusform>
            </translation>
        </message>
        <message>
            <source>added; the next one…</source>
            <translation>dazugenommen; das nächste …</translation>
        </message>
        <message>
            <source>Last:</source>
            <translation>Zuletzt:</translation>
        </message>
        <message>
            <source>“%1” not found</source>
            <translation>„%1“ nicht gefunden</translation>
        </message>
        <message>
            <source>Take %1 out of the batch again</source>
            <translation>%1 wieder aus dem Stapel nehmen</translation>
        </message>
    </context>
    <context>
        <name>PicturePair</name>
        <message>
            <source>The two pictures</source>
            <translation>Die beiden Bilder</translation>
        </message>
        <message>
            <source>Wheel: closer; drag: another part; B: each in the other's place</source>
            <translation>Rad: näher; ziehen: ein anderer Teil; B: jedes an der Stelle des anderen</translation>
        </message>
    </context>
    <context>
        <name>PlaceStrip</name>
        <message>
            <source>Bench</source>
            <translation>Werkbank</translation>
        </message>
        <message>
            <source>Collisions</source>
            <translation>Treffen</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Läufe</translation>
        </message>
        <message>
            <source>Receipts</source>
            <translation>Quittungen</translation>
        </message>
        <message>
            <source>Safe</source>
            <translation>Tresor</translation>
        </message>
        <message>
            <source>Saved jobs</source>
            <translation>Aufträge</translation>
        </message>
        <message>
            <source>Sizes</source>
            <translation>Größen</translation>
        </message>
        <message>
            <source>%1, %2</source>
            <translation>%1, %2</translation>
        </message>
    </context>
    <context>
        <name>PlacesMenu</name>
        <message>
            <source>Home</source>
            <translation>Zuhause</translation>
        </message>
        <message>
            <source>Desktop</source>
            <translation>Schreibtisch</translation>
        </message>
        <message>
            <source>Documents</source>
            <translation>Dokumente</translation>
        </message>
        <message>
            <source>Downloads</source>
            <translation>Heruntergeladenes</translation>
        </message>
        <message>
            <source>Pictures</source>
            <translation>Bilder</translation>
        </message>
        <message>
            <source>Music</source>
            <translation>Musik</translation>
        </message>
        <message>
            <source>Videos</source>
            <translation>Videos</translation>
        </message>
        <message>
            <source>Destination: %1</source>
            <translation>Ziel: %1</translation>
        </message>
        <message>
            <source>Volumes</source>
            <translation>Datenträger</translation>
        </message>
        <message>
            <source>looking…</source>
            <translation>wird angesehen …</translation>
        </message>
        <message>
            <source>Bookmarks</source>
            <translation>Lesezeichen</translation>
        </message>
        <message>
            <source>Take this folder out of the bookmarks</source>
            <translation>Diesen Ordner aus den Lesezeichen nehmen</translation>
        </message>
        <message>
            <source>Bookmark this folder</source>
            <translation>Lesezeichen für diesen Ordner</translation>
        </message>
        <message>
            <source>Recent folders</source>
            <translation>Letzte Ordner</translation>
        </message>
        <message>
            <source>File system</source>
            <translation>Dateisystem</translation>
        </message>
        <message>
            <source>%1 · %2 free of %3</source>
            <translation>%1 · %2 frei von %3</translation>
        </message>
    </context>
    <context>
        <name>RatePlot</name>
        <message>
            <source>limited</source>
            <translation>begrenzt</translation>
        </message>
        <message>
            <source>paused</source>
            <translation>pausiert</translation>
        </message>
        <message>
            <source>waits for the drive</source>
            <translation>wartet auf das Laufwerk</translation>
        </message>
        <message>
            <source>Rate over the last minute: %1 now</source>
            <translation>Tempo der letzten Minute: jetzt %1</translation>
        </message>
        <message>
            <source>a minute ago</source>
            <translation>vor einer Minute</translation>
        </message>
        <message>
            <source>now</source>
            <translation>jetzt</translation>
        </message>
    </context>
    <context>
        <name>ReceiptItemsModel</name>
        <message>
            <source>taken back since</source>
            <translation>seither zurückgenommen</translation>
        </message>
    </context>
    <context>
        <name>Receipts</name>
        <message>
            <source>from %1
to %2</source>
            <translation>aus %1
nach %2</translation>
        </message>
        <message>
            <source>without: %1</source>
            <translation>ohne: %1</translation>
        </message>
        <message>
            <source>old one in the Safe</source>
            <translation>das alte im Tresor</translation>
        </message>
        <message>
            <source>the folder was empty</source>
            <translation>der Ordner war leer</translation>
        </message>
        <message>
            <source>to the Safe</source>
            <translation>in den Tresor</translation>
        </message>
        <message>
            <source>same bytes</source>
            <translation>dieselben Bytes</translation>
        </message>
        <message>
            <source>stays as it was</source>
            <translation>bleibt, wie es war</translation>
        </message>
        <message>
            <source>left as they were, both</source>
            <translation>beide gelassen, wie sie waren</translation>
        </message>
        <message>
            <source>the run was stopped before it</source>
            <translation>der Lauf wurde davor angehalten</translation>
        </message>
        <message>
            <source>as %1</source>
            <translation>als %1</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Result</source>
            <translation>Ergebnis</translation>
        </message>
        <message>
            <source>Where, or why</source>
            <translation>Wo, oder warum</translation>
        </message>
        <message>
            <source>nothing was done</source>
            <translation>nichts wurde getan</translation>
        </message>
    </context>
    <context>
        <name>ReceiptsModel</name>
        <message>
            <source>%1, %2, %3</source>
            <translation>%1, %2, %3</translation>
        </message>
    </context>
    <context>
        <name>ReceiptsPage</name>
        <message>
            <source>Past runs</source>
            <translation>Frühere Läufe</translation>
        </message>
        <message>
            <source>Where did a file go?</source>
            <translation>Wohin ging eine Datei?</translation>
        </message>
        <message>
            <source>Where did it go? A file or folder name</source>
            <translation>Wohin ging es? Name einer Datei oder eines Ordners</translation>
        </message>
        <message>
            <source>Very many: the newest %1 of them. Another word narrows it.</source>
            <translation>Sehr viele: die neuesten %1 davon. Ein weiteres Wort grenzt ein.</translation>
        </message>
        <message>
            <source>Receipts of runs of which the Safe still holds versions stay in any case</source>
            <translation>Quittungen von Läufen, von denen der Tresor noch Fassungen hält, bleiben in jedem Fall</translation>
        </message>
        <message>
            <source>Nothing has been run yet. Each run leaves a receipt here that can be undone.</source>
            <translation>Noch lief nichts. Jeder Lauf hinterlässt hier eine Quittung und lässt sich zurücknehmen.</translation>
        </message>
        <message>
            <source>Undo…</source>
            <translation>Zurücknehmen …</translation>
        </message>
        <message>
            <source>Shows first what an undo would do</source>
            <translation>Zeigt erst, was ein Rückgang täte</translation>
        </message>
        <message>
            <source>Go on</source>
            <translation>Weiter</translation>
        </message>
        <message>
            <source>Does the rest of what this run was to do</source>
            <translation>Tut den Rest dessen, was dieser Lauf tun sollte</translation>
        </message>
        <message>
            <source>Leave it as it is</source>
            <translation>Lassen, wie es ist</translation>
        </message>
        <message>
            <source>Removes from the Safe what this undo took away, as far as its source still holds the same bytes</source>
            <translation>Entfernt aus dem Tresor, was dieser Rückgang wegnahm, soweit seine Quelle noch dieselben Bytes hat</translation>
        </message>
        <message>
            <source>Remove for good</source>
            <translation>Endgültig entfernen</translation>
        </message>
        <message>
            <source>Which results are shown</source>
            <translation>Welche Ergebnisse gezeigt werden</translation>
        </message>
        <message>
            <source>More…</source>
            <translation>Mehr …</translation>
        </message>
        <message>
            <source>Check again, write to a file, print</source>
            <translation>Nachprüfen, in eine Datei schreiben, drucken</translation>
        </message>
        <message>
            <source>Items of this run</source>
            <translation>Elemente dieses Laufs</translation>
        </message>
        <message>
            <source>What the undo would do</source>
            <translation>Was der Rückgang täte</translation>
        </message>
        <message>
            <source>Read again: all of it is as the run left it.</source>
            <translation>Nachgelesen: alles ist, wie der Lauf es ließ.</translation>
        </message>
        <message numerus="yes">
            <source>Read again: %Ln items are no longer as the run left them.</source>
            <translation>
                <numerusform>Nachgelesen: %Ln Element ist nicht mehr, wie der Lauf es ließ.</numerusform>
                <numerusform>Nachgelesen: %Ln Elemente sind nicht mehr, wie der Lauf sie ließ.</numerusform>
            </translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>In %1 geschrieben.</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln could not keep everything</source>
            <translation>
                <numerusform> · %Ln konnte nicht alles bewahren</numerusform>
                <numerusform> · %Ln konnten nicht alles bewahren</numerusform>
            </translation>
        </message>
        <message>
            <source>No run had to do with such a name.</source>
            <translation>Kein Lauf hatte mit so einem Namen zu tun.</translation>
        </message>
        <message>
            <source>Reading and removing: %1 of %2 versions looked at</source>
            <translation>Lesen und entfernen: %1 von %2 Fassungen angesehen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions are gone for good.</source>
            <translation>
                <numerusform>%Ln Fassung ist endgültig fort.</numerusform>
                <numerusform>%Ln Fassungen sind endgültig fort.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln stay in the Safe, as their source does not hold the same bytes now.</source>
            <translation>
                <numerusform>%Ln bleibt im Tresor, da die Quelle jetzt andere Bytes hat.</numerusform>
                <numerusform>%Ln bleiben im Tresor, da ihre Quelle jetzt andere Bytes hat.</numerusform>
            </translation>
        </message>
        <message>
            <source>Undo: %1</source>
            <translation>Rückgang: %1</translation>
        </message>
        <message numerus="yes">
            <source>%1 · %2 · %Ln items</source>
            <translation>
                <numerusform>%1 · %2 · %Ln Element</numerusform>
                <numerusform>%1 · %2 · %Ln Elemente</numerusform>
            </translation>
        </message>
        <message>
            <source> · waited for room: %1</source>
            <translation> · wartete auf Platz: %1</translation>
        </message>
        <message>
            <source> · undone by %1</source>
            <translation> · zurückgenommen durch %1</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln taken back since</source>
            <translation>
                <numerusform> · %Ln seither zurückgenommen</numerusform>
                <numerusform> · %Ln seither zurückgenommen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source> · left %Ln versions in the Safe, %1</source>
            <translation>
                <numerusform> · ließ %Ln Fassung im Tresor, %1</numerusform>
                <numerusform> · ließ %Ln Fassungen im Tresor, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>Free %1…</source>
            <translation>%1 freigeben …</translation>
        </message>
        <message>
            <source>All results</source>
            <translation>Alle Ergebnisse</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
        <message numerus="yes">
            <source>Undo %Ln chosen…</source>
            <translation>
                <numerusform>%Ln gewähltes zurücknehmen …</numerusform>
                <numerusform>%Ln gewählte zurücknehmen …</numerusform>
            </translation>
        </message>
        <message>
            <source>This run has been undone already</source>
            <translation>Dieser Lauf ist schon zurückgenommen</translation>
        </message>
        <message>
            <source>Shows first what an undo of the selected items would do</source>
            <translation>Zeigt erst, was ein Rückgang der gewählten Elemente täte</translation>
        </message>
        <message>
            <source>Shows first what an undo would do; with items selected, of these alone</source>
            <translation>Zeigt erst, was ein Rückgang täte; sind Elemente gewählt, nur dieser</translation>
        </message>
        <message>
            <source>Receipts are kept for good…</source>
            <translation>Quittungen bleiben für immer …</translation>
        </message>
        <message numerus="yes">
            <source>Receipts are kept %Ln days…</source>
            <translation>
                <numerusform>Quittungen bleiben %Ln Tag …</numerusform>
                <numerusform>Quittungen bleiben %Ln Tage …</numerusform>
            </translation>
        </message>
        <message>
            <source>Keep receipts for good</source>
            <translation>Quittungen für immer behalten</translation>
        </message>
        <message>
            <source>Keep them a year, from the next start on</source>
            <translation>Ein Jahr behalten, vom nächsten Start an</translation>
        </message>
        <message>
            <source>Keep them 90 days, from the next start on</source>
            <translation>90 Tage behalten, vom nächsten Start an</translation>
        </message>
        <message>
            <source>Show it there: what came in, where it is</source>
            <translation>Dort zeigen: was ankam, wo es ist</translation>
        </message>
        <message>
            <source>The same on the bench again</source>
            <translation>Dasselbe wieder auf die Werkbank</translation>
        </message>
        <message>
            <source>Keep as a job…</source>
            <translation>Als Auftrag behalten …</translation>
        </message>
        <message>
            <source>Check again: read it, and compare</source>
            <translation>Nachprüfen: lesen und vergleichen</translation>
        </message>
        <message>
            <source>reading it again…</source>
            <translation>wird nachgelesen …</translation>
        </message>
        <message>
            <source>Write to a file…</source>
            <translation>In eine Datei schreiben …</translation>
        </message>
        <message>
            <source>Write the receipt to a file</source>
            <translation>Die Quittung in eine Datei schreiben</translation>
        </message>
        <message>
            <source>Receipt document (*.json);;Table (*.csv);;Page (*.html)</source>
            <translation>Quittungsdokument (*.json);;Tabelle (*.csv);;Seite (*.html)</translation>
        </message>
        <message>
            <source>Print…</source>
            <translation>Drucken …</translation>
        </message>
        <message numerus="yes">
            <source>%Ln taken away (files to the Safe)</source>
            <translation>
                <numerusform>%Ln weggenommen (Dateien in den Tresor)</numerusform>
                <numerusform>%Ln weggenommen (Dateien in den Tresor)</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln put back</source>
            <translation>
                <numerusform>%Ln zurückgelegt</numerusform>
                <numerusform>%Ln zurückgelegt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln left alone, changed since</source>
            <translation>
                <numerusform>%Ln gelassen, seither geändert</numerusform>
                <numerusform>%Ln gelassen, seither geändert</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders stay, as they hold something</source>
            <translation>
                <numerusform>%Ln Ordner bleibt, da etwas darin ist</numerusform>
                <numerusform>%Ln Ordner bleiben, da etwas darin ist</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln cannot be done</source>
            <translation>
                <numerusform>%Ln nicht möglich</numerusform>
                <numerusform>%Ln nicht möglich</numerusform>
            </translation>
        </message>
        <message>
            <source>There is nothing left to undo.</source>
            <translation>Es ist nichts mehr zurückzunehmen.</translation>
        </message>
        <message>
            <source>The undo will do this: %1</source>
            <translation>Der Rückgang tut dies: %1</translation>
        </message>
        <message numerus="yes">
            <source>Undo %Ln items</source>
            <translation>
                <numerusform>%Ln Element zurücknehmen</numerusform>
                <numerusform>%Ln Elemente zurücknehmen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions, %1, would be gone for good, each only once its bytes are seen in the source that it was copied from. The others stay.</source>
            <translation>
                <numerusform>%Ln Fassung, %1, wäre endgültig fort, erst sobald ihre Bytes in der Quelle gesehen sind, aus der sie kopiert wurde. Die anderen bleiben.</numerusform>
                <numerusform>%Ln Fassungen, %1, wären endgültig fort, jede erst, sobald ihre Bytes in der Quelle gesehen sind, aus der sie kopiert wurde. Die anderen bleiben.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>RunFaultsModel</name>
        <message>
            <source>in %1</source>
            <translation>in %1</translation>
        </message>
        <message>
            <source>Will be tried again when the run is through.</source>
            <translation>Wird noch einmal versucht, wenn der Lauf durch ist.</translation>
        </message>
        <message>
            <source>Will be left as it is.</source>
            <translation>Bleibt, wie es ist.</translation>
        </message>
        <message>
            <source>%1
%2</source>
            <translation>%1
%2</translation>
        </message>
        <message>
            <source>%1: %2. %3</source>
            <translation>%1: %2. %3</translation>
        </message>
    </context>
    <context>
        <name>RunLine</name>
        <message>
            <source>Nothing is going on</source>
            <translation>Nichts läuft</translation>
        </message>
        <message>
            <source>Run</source>
            <translation>Lauf</translation>
        </message>
        <message>
            <source>Progress</source>
            <translation>Fortschritt</translation>
        </message>
        <message>
            <source>Stop</source>
            <translation>Anhalten</translation>
        </message>
        <message>
            <source>Stops between two items; what is done stays done and can be undone</source>
            <translation>Hält zwischen zwei Elementen an; was getan ist, bleibt getan und lässt sich zurücknehmen</translation>
        </message>
        <message>
            <source>Pause</source>
            <translation>Pause</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Läufe</translation>
        </message>
        <message>
            <source>All runs, with what was done so far</source>
            <translation>Alle Läufe, mit dem bisher Getanen</translation>
        </message>
        <message>
            <source>Receipt</source>
            <translation>Quittung</translation>
        </message>
        <message>
            <source>Show it there</source>
            <translation>Dort zeigen</translation>
        </message>
        <message>
            <source>Opens the place where it went, with what came in marked</source>
            <translation>Öffnet den Ort, an den es ging, mit Marken an dem, was ankam</translation>
        </message>
        <message>
            <source>Go on</source>
            <translation>Weiter</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Schließen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln more going on</source>
            <translation>
                <numerusform>%Ln weiterer läuft</numerusform>
                <numerusform>%Ln weitere laufen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln waiting</source>
            <translation>
                <numerusform>%Ln wartet</numerusform>
                <numerusform>%Ln warten</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln moved</source>
            <translation>
                <numerusform>%Ln verschoben</numerusform>
                <numerusform>%Ln verschoben</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln packed</source>
            <translation>
                <numerusform>%Ln gepackt</numerusform>
                <numerusform>%Ln gepackt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln copied</source>
            <translation>
                <numerusform>%Ln kopiert</numerusform>
                <numerusform>%Ln kopiert</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln overwritten, old ones in the Safe</source>
            <translation>
                <numerusform>%Ln überschrieben, das alte im Tresor</numerusform>
                <numerusform>%Ln überschrieben, die alten im Tresor</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln renamed</source>
            <translation>
                <numerusform>%Ln umbenannt</numerusform>
                <numerusform>%Ln umbenannt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders merged</source>
            <translation>
                <numerusform>%Ln Ordner zusammengeführt</numerusform>
                <numerusform>%Ln Ordner zusammengeführt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln put back</source>
            <translation>
                <numerusform>%Ln zurückgelegt</numerusform>
                <numerusform>%Ln zurückgelegt</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln taken away</source>
            <translation>
                <numerusform>%Ln weggenommen</numerusform>
                <numerusform>%Ln weggenommen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln skipped</source>
            <translation>
                <numerusform>%Ln übersprungen</numerusform>
                <numerusform>%Ln übersprungen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided</source>
            <translation>
                <numerusform>%Ln unentschieden</numerusform>
                <numerusform>%Ln unentschieden</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln failed</source>
            <translation>
                <numerusform>%Ln misslungen</numerusform>
                <numerusform>%Ln misslungen</numerusform>
            </translation>
        </message>
        <message>
            <source>Stopped</source>
            <translation>Angehalten</translation>
        </message>
        <message>
            <source>Done</source>
            <translation>Fertig</translation>
        </message>
        <message>
            <source>Paused, %1</source>
            <translation>Pausiert, %1</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
        <message>
            <source>nothing to do</source>
            <translation>nichts zu tun</translation>
        </message>
        <message>
            <source>Paused since the last time: %1</source>
            <translation>Pausiert seit dem letzten Mal: %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln runs are paused since the last time.</source>
            <translation>
                <numerusform>%Ln Lauf ist seit dem letzten Mal pausiert.</numerusform>
                <numerusform>%Ln Läufe sind seit dem letzten Mal pausiert.</numerusform>
            </translation>
        </message>
        <message>
            <source>Interrupted: %1 Nothing is lost; going on finishes or takes back what was open.</source>
            <translation>Unterbrochen: %1 Nichts ist verloren; weitergehen beendet, was offen war, oder nimmt es zurück.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln runs were interrupted. Nothing is lost; going on finishes or takes back what was open.</source>
            <translation>
                <numerusform>%Ln Lauf wurde unterbrochen. Nichts ist verloren; weitergehen beendet, was offen war, oder nimmt es zurück.</numerusform>
                <numerusform>%Ln Läufe wurden unterbrochen. Nichts ist verloren; weitergehen beendet, was offen war, oder nimmt es zurück.</numerusform>
            </translation>
        </message>
        <message>
            <source>The run could not go on: %1</source>
            <translation>Der Lauf konnte nicht weitergehen: %1</translation>
        </message>
    </context>
    <context>
        <name>Runs</name>
        <message>
            <source>Undo: %1</source>
            <translation>Rückgang: %1</translation>
        </message>
    </context>
    <context>
        <name>RunsPage</name>
        <message>
            <source>Clear what has ended</source>
            <translation>Beendetes wegräumen</translation>
        </message>
        <message>
            <source>Pause all</source>
            <translation>Alle pausieren</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Läufe</translation>
        </message>
        <message>
            <source>Nothing is going on. What is started on the Bench runs here, and its receipt stays under Receipts.</source>
            <translation>Nichts läuft. Was auf der Werkbank gestartet wird, läuft hier, und seine Quittung bleibt unter Quittungen.</translation>
        </message>
        <message>
            <source>newest first; this leaves no receipt</source>
            <translation>das neueste zuerst; hiervon bleibt keine Quittung</translation>
        </message>
        <message>
            <source>Nothing yet. What has gone shows here.</source>
            <translation>Noch nichts. Was fort ist, erscheint hier.</translation>
        </message>
        <message>
            <source>newest first; all of it is in the receipt</source>
            <translation>das neueste zuerst; alles steht in der Quittung</translation>
        </message>
        <message>
            <source>Only items with</source>
            <translation>Nur Elemente mit</translation>
        </message>
        <message>
            <source>Name or place</source>
            <translation>Name oder Ort</translation>
        </message>
        <message>
            <source>As it goes</source>
            <translation>Wie es läuft</translation>
        </message>
        <message>
            <source>What the run has done so far</source>
            <translation>Was der Lauf bisher getan hat</translation>
        </message>
        <message>
            <source>What failed</source>
            <translation>Was misslang</translation>
        </message>
        <message>
            <source>Once its cause is mended: under the same receipt, as it was asked for</source>
            <translation>Sobald die Ursache behoben ist: unter derselben Quittung, wie es verlangt war</translation>
        </message>
        <message>
            <source>Counts as skipped; the receipt keeps why</source>
            <translation>Zählt als übersprungen; die Quittung behält, warum</translation>
        </message>
        <message numerus="yes">
            <source>%Ln going on</source>
            <translation>
                <numerusform>%Ln läuft</numerusform>
                <numerusform>%Ln laufen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln waiting</source>
            <translation>
                <numerusform>%Ln wartet</numerusform>
                <numerusform>%Ln warten</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln paused</source>
            <translation>
                <numerusform>%Ln pausiert</numerusform>
                <numerusform>%Ln pausiert</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln interrupted</source>
            <translation>
                <numerusform>%Ln unterbrochen</numerusform>
                <numerusform>%Ln unterbrochen</numerusform>
            </translation>
        </message>
        <message>
            <source>Nothing is going on</source>
            <translation>Nichts läuft</translation>
        </message>
        <message>
            <source>Reading limit for all: none</source>
            <translation>Lesegrenze für alle: keine</translation>
        </message>
        <message>
            <source>Reading limit for all: %1</source>
            <translation>Lesegrenze für alle: %1</translation>
        </message>
        <message>
            <source>Nothing done so far has that in its name or place.</source>
            <translation>Nichts bisher Getanes hat das in Namen oder Ort.</translation>
        </message>
        <message>
            <source>Nothing yet. What it does shows here as it goes; what it did before is in its receipt.</source>
            <translation>Noch nichts. Was er tut, erscheint hier, wie es geschieht; was er davor tat, steht in seiner Quittung.</translation>
        </message>
        <message>
            <source>Nothing needs you</source>
            <translation>Nichts braucht Sie</translation>
        </message>
        <message numerus="yes">
            <source>Needs you: %Ln failed</source>
            <translation>
                <numerusform>Braucht Sie: %Ln misslungen</numerusform>
                <numerusform>Braucht Sie: %Ln misslungen</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Try %Ln again</source>
            <translation>
                <numerusform>%Ln noch einmal versuchen</numerusform>
                <numerusform>%Ln noch einmal versuchen</numerusform>
            </translation>
        </message>
        <message>
            <source>Try all again</source>
            <translation>Alle noch einmal versuchen</translation>
        </message>
        <message numerus="yes">
            <source>Leave %Ln</source>
            <translation>
                <numerusform>%Ln lassen</numerusform>
                <numerusform>%Ln lassen</numerusform>
            </translation>
        </message>
        <message>
            <source>Leave all</source>
            <translation>Alle lassen</translation>
        </message>
        <message>
            <source>They are tried again when the run is through.</source>
            <translation>Sie werden noch einmal versucht, wenn der Lauf durch ist.</translation>
        </message>
    </context>
    <context>
        <name>SafeModel</name>
        <message>
            <source>lies at %1</source>
            <translation>liegt in %1</translation>
        </message>
        <message>
            <source>lies at %1, which cannot be reached now</source>
            <translation>liegt in %1, das gerade nicht erreichbar ist</translation>
        </message>
        <message>
            <source>a folder</source>
            <translation>ein Ordner</translation>
        </message>
        <message>
            <source>not mounted now · %1</source>
            <translation>gerade nicht eingehängt · %1</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Place it held</source>
            <translation>Ort, den es hatte</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Set aside</source>
            <translation>Weggelegt</translation>
        </message>
        <message>
            <source>By</source>
            <translation>Durch</translation>
        </message>
    </context>
    <context>
        <name>SafePage</name>
        <message>
            <source>Only versions with</source>
            <translation>Nur Fassungen mit</translation>
        </message>
        <message>
            <source>Name or place</source>
            <translation>Name oder Ort</translation>
        </message>
        <message>
            <source>How long versions are kept, and when the Safe is too large</source>
            <translation>Wie lange Fassungen bleiben, und wann der Tresor zu groß ist</translation>
        </message>
        <message>
            <source>Empty by age…</source>
            <translation>Nach Alter leeren …</translation>
        </message>
        <message>
            <source>Leave it as it is</source>
            <translation>Lassen, wie es ist</translation>
        </message>
        <message>
            <source>Versions in the Safe</source>
            <translation>Fassungen im Tresor</translation>
        </message>
        <message>
            <source>The Safe is empty. What a run takes a name from, or takes out of a folder, comes here first, whole.</source>
            <translation>Der Tresor ist leer. Wem ein Lauf den Namen nimmt, oder was er aus einem Ordner nimmt, kommt erst hierher, ganz.</translation>
        </message>
        <message>
            <source>Bring back to its place</source>
            <translation>An seinen Ort zurück</translation>
        </message>
        <message>
            <source>Bring back elsewhere…</source>
            <translation>Anderswohin zurück …</translation>
        </message>
        <message>
            <source>Remove for good…</source>
            <translation>Endgültig entfernen …</translation>
        </message>
        <message>
            <source>Removing for good: %1 of %2 versions</source>
            <translation>Wird endgültig entfernt: %1 von %2 Fassungen</translation>
        </message>
        <message>
            <source>In the Safe</source>
            <translation>Im Tresor</translation>
        </message>
        <message>
            <source>There now</source>
            <translation>Jetzt dort</translation>
        </message>
        <message>
            <source>Nothing is there now</source>
            <translation>Jetzt ist dort nichts</translation>
        </message>
        <message>
            <source>Something else holds that name now. It can go to the Safe in turn, or the version comes back under a new name.</source>
            <translation>Etwas anderes hat jetzt diesen Namen. Es kann seinerseits in den Tresor gehen, oder die Fassung kommt unter neuem Namen zurück.</translation>
        </message>
        <message>
            <source>Put it in its place</source>
            <translation>An seine Stelle</translation>
        </message>
        <message>
            <source>Under a new name</source>
            <translation>Unter neuem Namen</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions are gone for good.</source>
            <translation>
                <numerusform>%Ln Fassung ist endgültig fort.</numerusform>
                <numerusform>%Ln Fassungen sind endgültig fort.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%1 in %2 (%Ln versions)</source>
            <translation>
                <numerusform>%1 in %2 (%Ln Fassung)</numerusform>
                <numerusform>%1 in %2 (%Ln Fassungen)</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%1 in %2, not mounted now (%Ln versions)</source>
            <translation>
                <numerusform>%1 in %2, gerade nicht eingehängt (%Ln Fassung)</numerusform>
                <numerusform>%1 in %2, gerade nicht eingehängt (%Ln Fassungen)</numerusform>
            </translation>
        </message>
        <message>
            <source>The Safe is empty</source>
            <translation>Der Tresor ist leer</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions in the Safe, %1</source>
            <translation>
                <numerusform>%Ln Fassung im Tresor, %1</numerusform>
                <numerusform>%Ln Fassungen im Tresor, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>more than the %1 that you have set</source>
            <translation>mehr als die %1, die Sie gesetzt haben</translation>
        </message>
        <message>
            <source>Kept until emptied</source>
            <translation>Bleiben, bis geleert wird</translation>
        </message>
        <message numerus="yes">
            <source>Kept %Ln days</source>
            <translation>
                <numerusform>Bleiben %Ln Tag</numerusform>
                <numerusform>Bleiben %Ln Tage</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Remove %Ln for good…</source>
            <translation>
                <numerusform>%Ln endgültig entfernen …</numerusform>
                <numerusform>%Ln endgültig entfernen …</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions are selected.</source>
            <translation>
                <numerusform>%Ln Fassung ist gewählt.</numerusform>
                <numerusform>%Ln Fassungen sind gewählt.</numerusform>
            </translation>
        </message>
        <message>
            <source>The volume that it lies on is not mounted now.</source>
            <translation>Der Datenträger, auf dem es liegt, ist gerade nicht eingehängt.</translation>
        </message>
        <message>
            <source>Bring back into</source>
            <translation>Zurück in</translation>
        </message>
        <message>
            <source>Versions stay until I empty the Safe</source>
            <translation>Fassungen bleiben, bis ich den Tresor leere</translation>
        </message>
        <message>
            <source>They leave by themselves after a year</source>
            <translation>Sie gehen nach einem Jahr von selbst</translation>
        </message>
        <message>
            <source>They leave by themselves after 90 days</source>
            <translation>Sie gehen nach 90 Tagen von selbst</translation>
        </message>
        <message>
            <source>They leave by themselves after 30 days</source>
            <translation>Sie gehen nach 30 Tagen von selbst</translation>
        </message>
        <message>
            <source>No warning of its size</source>
            <translation>Keine Warnung vor seiner Größe</translation>
        </message>
        <message>
            <source>Warn when it takes more than %1</source>
            <translation>Warnen, wenn er mehr als %1 braucht</translation>
        </message>
        <message>
            <source>At each start, versions older than %1 days would be gone for good, and their runs could no longer be undone in full.</source>
            <translation>Bei jedem Start wären Fassungen älter als %1 Tage endgültig fort, und ihre Läufe ließen sich nicht mehr ganz zurücknehmen.</translation>
        </message>
        <message numerus="yes">
            <source>Now that would be %Ln versions.</source>
            <translation>
                <numerusform>Jetzt wäre das %Ln Fassung.</numerusform>
                <numerusform>Jetzt wären das %Ln Fassungen.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Keep them %Ln days</source>
            <translation>
                <numerusform>%Ln Tag behalten</numerusform>
                <numerusform>%Ln Tage behalten</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%1: %Ln versions, %2</source>
            <translation>
                <numerusform>%1: %Ln Fassung, %2</numerusform>
                <numerusform>%1: %Ln Fassungen, %2</numerusform>
            </translation>
        </message>
        <message>
            <source>Older than a year</source>
            <translation>Älter als ein Jahr</translation>
        </message>
        <message>
            <source>Older than 90 days</source>
            <translation>Älter als 90 Tage</translation>
        </message>
        <message>
            <source>Older than 30 days</source>
            <translation>Älter als 30 Tage</translation>
        </message>
        <message>
            <source>Larger than 100 MB</source>
            <translation>Größer als 100 MB</translation>
        </message>
        <message>
            <source>Everything</source>
            <translation>Alles</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions would be gone for good; that is not undone.</source>
            <translation>
                <numerusform>%Ln Fassung wäre endgültig fort; das lässt sich nicht zurücknehmen.</numerusform>
                <numerusform>%Ln Fassungen wären endgültig fort; das lässt sich nicht zurücknehmen.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln runs can then no longer be undone in full.</source>
            <translation>
                <numerusform>%Ln Lauf lässt sich dann nicht mehr ganz zurücknehmen.</numerusform>
                <numerusform>%Ln Läufe lassen sich dann nicht mehr ganz zurücknehmen.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Remove %Ln versions for good</source>
            <translation>
                <numerusform>%Ln Fassung endgültig entfernen</numerusform>
                <numerusform>%Ln Fassungen endgültig entfernen</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>SafeVersions</name>
        <message numerus="yes">
            <source>Remove %Ln versions from the Safe for good</source>
            <translation>
                <numerusform>%Ln Fassung endgültig aus dem Tresor entfernen</numerusform>
                <numerusform>%Ln Fassungen endgültig aus dem Tresor entfernen</numerusform>
            </translation>
        </message>
        <message>
            <source>Bring back %1.</source>
            <translation>%1 zurückbringen.</translation>
        </message>
    </context>
    <context>
        <name>Sentence</name>
        <message>
            <source>in folders by %1</source>
            <translation>in Ordnern nach %1</translation>
        </message>
        <message>
            <source>all files in one folder</source>
            <translation>alle Dateien in einen Ordner</translation>
        </message>
        <message>
            <source>keeping subfolders</source>
            <translation>mit Unterordnern</translation>
        </message>
        <message>
            <source>keeping subfolders with files in them</source>
            <translation>mit Unterordnern, in denen Dateien sind</translation>
        </message>
        <message>
            <source>without subfolders</source>
            <translation>ohne Unterordner</translation>
        </message>
        <message>
            <source>only what is in the folders, %1</source>
            <translation>nur was in den Ordnern ist, %1</translation>
        </message>
        <message>
            <source>keeping folders below %1</source>
            <translation>mit den Ordnern ab %1</translation>
        </message>
        <message>
            <source>only what is in them</source>
            <translation>nur was darin ist</translation>
        </message>
        <message>
            <source>the files and folders in them</source>
            <translation>die Dateien und Ordner darin</translation>
        </message>
        <message>
            <source>the files directly in them</source>
            <translation>die Dateien unmittelbar darin</translation>
        </message>
        <message>
            <source>the files in them, also in subfolders</source>
            <translation>die Dateien darin, auch in Unterordnern</translation>
        </message>
        <message>
            <source>leaving what else is there</source>
            <translation>und lass, was sonst dort ist</translation>
        </message>
        <message>
            <source>leaving nothing extra there</source>
            <translation>und lass nichts Zusätzliches dort</translation>
        </message>
        <message>
            <source>emptying it first</source>
            <translation>und leere es erst</translation>
        </message>
        <message>
            <source>ask me</source>
            <translation>mich fragen</translation>
        </message>
        <message>
            <source>keep what is there</source>
            <translation>behalten, was da ist</translation>
        </message>
        <message>
            <source>the newer one wins</source>
            <translation>gewinnt das neuere</translation>
        </message>
        <message>
            <source>overwrite what is there</source>
            <translation>überschreiben, was da ist</translation>
        </message>
        <message>
            <source>the larger one wins</source>
            <translation>gewinnt das größere</translation>
        </message>
        <message>
            <source>bring it up to date</source>
            <translation>auf den neuesten Stand bringen</translation>
        </message>
        <message>
            <source>my own rule</source>
            <translation>meine eigene Regel</translation>
        </message>
        <message>
            <source>keep both</source>
            <translation>beide behalten</translation>
        </message>
        <message>
            <source>both stay until you look</source>
            <translation>bleiben beide, bis Sie nachsehen</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1: %2</translation>
        </message>
        <message>
            <source>%1 and %2: %3</source>
            <translation>%1 und %2: %3</translation>
        </message>
        <message>
            <source>%1 (%2)</source>
            <translation>%1 (%2)</translation>
        </message>
        <message>
            <source>“%1”</source>
            <translation>„%1“</translation>
        </message>
        <message>
            <source>%1 behind</source>
            <translation>%1 dahinter</translation>
        </message>
        <message>
            <source>%1 in front</source>
            <translation>%1 davor</translation>
        </message>
        <message>
            <source>without “%1”</source>
            <translation>ohne „%1“</translation>
        </message>
        <message>
            <source>“%1” for “%2”</source>
            <translation>„%1“ statt „%2“</translation>
        </message>
        <message>
            <source>“%1” for what fits %2</source>
            <translation>„%1“ statt dessen, was zu %2 passt</translation>
        </message>
        <message>
            <source>lower case</source>
            <translation>klein geschrieben</translation>
        </message>
        <message>
            <source>capitals</source>
            <translation>groß geschrieben</translation>
        </message>
        <message>
            <source>a capital for each word</source>
            <translation>jedes Wort groß begonnen</translation>
        </message>
        <message>
            <source>numbers %1</source>
            <translation>Zahlen %1</translation>
        </message>
        <message>
            <source>first number %1</source>
            <translation>erste Zahl %1</translation>
        </message>
        <message>
            <source>last number %1</source>
            <translation>letzte Zahl %1</translation>
        </message>
        <message>
            <source>without extension</source>
            <translation>ohne Endung</translation>
        </message>
        <message>
            <source>extension in lower case</source>
            <translation>Endung klein geschrieben</translation>
        </message>
        <message>
            <source>extension in capitals</source>
            <translation>Endung groß geschrieben</translation>
        </message>
        <message>
            <source>extension %1</source>
            <translation>Endung %1</translation>
        </message>
        <message>
            <source>named %1</source>
            <translation>benannt %1</translation>
        </message>
        <message>
            <source>by the table %1</source>
            <translation>nach der Tabelle %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln Element</numerusform>
                <numerusform>%Ln Elemente</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders</source>
            <translation>
                <numerusform>%Ln Ordner</numerusform>
                <numerusform>%Ln Ordnern</numerusform>
            </translation>
        </message>
        <message>
            <source> in %1</source>
            <translation> in %1</translation>
        </message>
        <message>
            <source> from %1</source>
            <translation> aus %1</translation>
        </message>
        <message>
            <source>Move %1</source>
            <translation>Verschiebe %1</translation>
        </message>
        <message>
            <source>Unpack %1</source>
            <translation>Packe %1 aus</translation>
        </message>
        <message>
            <source>Copy %1</source>
            <translation>Kopiere %1</translation>
        </message>
        <message>
            <source> into %1</source>
            <translation> in %1</translation>
        </message>
        <message>
            <source>, %1</source>
            <translation>, %1</translation>
        </message>
        <message>
            <source>, as %1</source>
            <translation>, als %1</translation>
        </message>
        <message>
            <source>, with new names: %1</source>
            <translation>, mit neuen Namen: %1</translation>
        </message>
        <message>
            <source>even where attributes are lost</source>
            <translation>auch wo Attribute verloren gehen</translation>
        </message>
        <message>
            <source>; where a name is taken, %1</source>
            <translation>; wo ein Name vergeben ist, %1</translation>
        </message>
        <message>
            <source>; what is already there under another name %1</source>
            <translation>; was unter anderem Namen schon da ist, %1</translation>
        </message>
        <message>
            <source>.</source>
            <translation>.</translation>
        </message>
        <message>
            <source>Pack %1 into %2</source>
            <translation>Packe %1 in %2</translation>
        </message>
        <message>
            <source>, then remove them to the Safe</source>
            <translation>, entferne sie dann in den Tresor</translation>
        </message>
        <message>
            <source>is skipped</source>
            <translation>wird übersprungen</translation>
        </message>
        <message>
            <source>is asked about</source>
            <translation>wird erfragt</translation>
        </message>
        <message>
            <source>is marked, and comes all the same</source>
            <translation>wird gekennzeichnet und kommt trotzdem</translation>
        </message>
        <message>
            <source>, then </source>
            <translation>, dann </translation>
        </message>
        <message>
            <source>to the Safe</source>
            <translation>in den Tresor</translation>
        </message>
        <message>
            <source>to the trash</source>
            <translation>in den Papierkorb</translation>
        </message>
        <message>
            <source>, %1,</source>
            <translation>, %1,</translation>
        </message>
        <message>
            <source>Give %1%2 new names: %3; where a name is taken, %4.</source>
            <translation>Gib %1%2 neue Namen: %3; wo ein Name vergeben ist, %4.</translation>
        </message>
        <message>
            <source>Remove %1%2, %3.</source>
            <translation>Entferne %1%2, %3.</translation>
        </message>
        <message>
            <source>Make the folder %1 in %2.</source>
            <translation>Lege den Ordner %1 in %2 an.</translation>
        </message>
    </context>
    <context>
        <name>SettingsDialog</name>
        <message>
            <source>Settings</source>
            <translation>Einstellungen</translation>
        </message>
        <message>
            <source>Use these</source>
            <translation>Diese benutzen</translation>
        </message>
        <message>
            <source>as the desktop</source>
            <translation>wie die Arbeitsumgebung</translation>
        </message>
        <message>
            <source>light</source>
            <translation>hell</translation>
        </message>
        <message>
            <source>dark</source>
            <translation>dunkel</translation>
        </message>
        <message>
            <source>The window</source>
            <translation>Das Fenster</translation>
        </message>
        <message>
            <source>&amp;Looks</source>
            <translation>&amp;Aussehen</translation>
        </message>
        <message>
            <source>A new batch</source>
            <translation>Ein neuer Stapel</translation>
        </message>
        <message>
            <source>Where a &amp;name is taken, begin with</source>
            <translation>Wo ein &amp;Name vergeben ist, beginnen mit</translation>
        </message>
        <message>
            <source>Copies begin while they are &amp;counted</source>
            <translation>Kopieren beginnt noch beim &amp;Zählen</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Läufe</translation>
        </message>
        <message>
            <source>&amp;Read everything back from the disk and compare it, also what stays on one disk</source>
            <translation>Alles vom Datenträger &amp;zurücklesen und vergleichen, auch was auf einem Datenträger bleibt</translation>
        </message>
        <message>
            <source>All runs &amp;together, at most</source>
            <translation>Alle Läufe &amp;zusammen höchstens</translation>
        </message>
        <message>
            <source> MiB/s</source>
            <translation> MiB/s</translation>
        </message>
        <message>
            <source>as fast as they can</source>
            <translation>so schnell es geht</translation>
        </message>
        <message>
            <source>What is kept</source>
            <translation>Was behalten wird</translation>
        </message>
        <message>
            <source>&amp;Versions in the Safe</source>
            <translation>&amp;Fassungen im Tresor</translation>
        </message>
        <message>
            <source> days</source>
            <translation> Tage</translation>
        </message>
        <message>
            <source>&amp;Say so where the Safe takes more than</source>
            <translation>&amp;Sagen, wenn der Tresor mehr braucht als</translation>
        </message>
        <message>
            <source> GiB</source>
            <translation> GiB</translation>
        </message>
        <message>
            <source>never</source>
            <translation>nie</translation>
        </message>
        <message>
            <source>Rece&amp;ipts that nothing in the Safe hangs on</source>
            <translation>&amp;Quittungen, an denen nichts im Tresor hängt</translation>
        </message>
        <message>
            <source>for good</source>
            <translation>für immer</translation>
        </message>
    </context>
    <context>
        <name>SizesModel</name>
        <message>
            <source>Name</source>
            <translation>Name</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <source>Files</source>
            <translation>Dateien</translation>
        </message>
        <message>
            <source>Newest</source>
            <translation>Das neueste</translation>
        </message>
    </context>
    <context>
        <name>SizesPage</name>
        <message>
            <source>What lies below this folder, by size</source>
            <translation>Was unter diesem Ordner liegt, nach Größe</translation>
        </message>
        <message>
            <source>Up</source>
            <translation>Hinauf</translation>
        </message>
        <message>
            <source>The folder above</source>
            <translation>Der Ordner darüber</translation>
        </message>
        <message>
            <source>Everything</source>
            <translation>Alles</translation>
        </message>
        <message>
            <source>Largest files</source>
            <translation>Größte Dateien</translation>
        </message>
        <message>
            <source>Empty folders</source>
            <translation>Leere Ordner</translation>
        </message>
        <message>
            <source>Folders over</source>
            <translation>Ordner über</translation>
        </message>
        <message>
            <source>Size from which on folders are listed</source>
            <translation>Größe, ab der Ordner aufgelistet werden</translation>
        </message>
        <message>
            <source>Show where it lies</source>
            <translation>Zeigen, wo es liegt</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Greifen</translation>
        </message>
        <message>
            <source>Into the batch, with what is in it already</source>
            <translation>In den Stapel, zu dem, was schon darin ist</translation>
        </message>
        <message>
            <source>Remove…</source>
            <translation>Entfernen …</translation>
        </message>
        <message>
            <source>They become the batch, to be removed; nothing goes before it is started</source>
            <translation>Sie werden der Stapel, um entfernt zu werden; nichts geht, bevor gestartet wird</translation>
        </message>
        <message>
            <source>What stands out</source>
            <translation>Was auffällt</translation>
        </message>
        <message numerus="yes">
            <source>%1 in %Ln files</source>
            <translation>
                <numerusform>%1 in %Ln Datei</numerusform>
                <numerusform>%1 in %Ln Dateien</numerusform>
            </translation>
        </message>
        <message>
            <source>being weighed: %1 so far</source>
            <translation>wird gewogen: bisher %1</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln folders could not be read</source>
            <translation>
                <numerusform> · %Ln Ordner war nicht lesbar</numerusform>
                <numerusform> · %Ln Ordner waren nicht lesbar</numerusform>
            </translation>
        </message>
        <message>
            <source>being weighed…</source>
            <translation>wird gewogen …</translation>
        </message>
        <message>
            <source>Go to a folder on the bench, and come back.</source>
            <translation>Auf der Werkbank zu einem Ordner gehen und wiederkommen.</translation>
        </message>
        <message>
            <source>Nothing stands out by that.</source>
            <translation>Danach fällt nichts auf.</translation>
        </message>
        <message>
            <source>There is nothing in this folder.</source>
            <translation>In diesem Ordner ist nichts.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln selected, %1</source>
            <translation>
                <numerusform>%Ln gewählt, %1</numerusform>
                <numerusform>%Ln gewählt, %1</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>SmallJobs</name>
        <message>
            <source>there is no name in it</source>
            <translation>es enthält keinen Namen</translation>
        </message>
        <message>
            <source>%1 is there already</source>
            <translation>%1 ist schon da</translation>
        </message>
        <message>
            <source>Undone: %1</source>
            <translation>Zurückgenommen: %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln of it; the receipt says why</source>
            <translation>
                <numerusform>%Ln davon; die Quittung sagt, warum</numerusform>
                <numerusform>%Ln davon; die Quittung sagt, warum</numerusform>
            </translation>
        </message>
        <message>
            <source>Rename %1 to %2 in %3.</source>
            <translation>%1 in %3 in %2 umbenennen.</translation>
        </message>
    </context>
    <context>
        <name>StepCard</name>
        <message>
            <source>switched off: it is left out</source>
            <translation>ausgeschaltet: er wird ausgelassen</translation>
        </message>
        <message>
            <source>whatever comes of it, the next step follows</source>
            <translation>was auch daraus wird, der nächste Schritt folgt</translation>
        </message>
        <message>
            <source>Step %1: %2</source>
            <translation>Schritt %1: %2</translation>
        </message>
        <message>
            <source>See first</source>
            <translation>Erst ansehen</translation>
        </message>
        <message>
            <source>Shows on the bench what it would do now; nothing is done</source>
            <translation>Zeigt auf der Werkbank, was er jetzt täte; nichts geschieht</translation>
        </message>
        <message>
            <source>Change…</source>
            <translation>Ändern …</translation>
        </message>
        <message>
            <source>Its file and its line</source>
            <translation>Seine Datei und seine Zeile</translation>
        </message>
        <message>
            <source>Puts it onto the bench, and back when it is as you want it</source>
            <translation>Legt ihn auf die Werkbank, und zurück, wenn er so ist, wie er sein soll</translation>
        </message>
        <message>
            <source>More</source>
            <translation>Mehr</translation>
        </message>
        <message>
            <source>Step %1: more</source>
            <translation>Schritt %1: mehr</translation>
        </message>
        <message>
            <source>Places…</source>
            <translation>Orte …</translation>
        </message>
        <message>
            <source>Earlier</source>
            <translation>Früher</translation>
        </message>
        <message>
            <source>Later</source>
            <translation>Später</translation>
        </message>
        <message>
            <source>Switched off</source>
            <translation>Ausgeschaltet</translation>
        </message>
        <message>
            <source>Go on whatever comes of it</source>
            <translation>Weitergehen, was auch daraus wird</translation>
        </message>
        <message>
            <source>Take out of the job</source>
            <translation>Aus dem Auftrag nehmen</translation>
        </message>
    </context>
    <context>
        <name>StepDialog</name>
        <message>
            <source>A line in a text file</source>
            <translation>Eine Zeile in einer Textdatei</translation>
        </message>
        <message>
            <source>Places</source>
            <translation>Orte</translation>
        </message>
        <message>
            <source>&amp;File</source>
            <translation>&amp;Datei</translation>
        </message>
        <message>
            <source>&amp;Line</source>
            <translation>&amp;Zeile</translation>
        </message>
        <message>
            <source>Takes from</source>
            <translation>Nimmt aus</translation>
        </message>
        <message>
            <source>&amp;Into</source>
            <translation>&amp;In</translation>
        </message>
        <message>
            <source>These words stand for the date of the run: %1</source>
            <translation>Diese Wörter stehen für das Datum des Laufs: %1</translation>
        </message>
        <message>
            <source>And in the line: {job} for its name, {totals} for what came of the steps so far.</source>
            <translation>Und in der Zeile: {job} für seinen Namen, {totals} für das, was aus den Schritten bisher wurde.</translation>
        </message>
        <message>
            <source>Use it</source>
            <translation>Benutzen</translation>
        </message>
        <message>
            <source>Today: %1</source>
            <translation>Heute: %1</translation>
        </message>
        <message>
            <source>Today: from %1 into %2</source>
            <translation>Heute: aus %1 in %2</translation>
        </message>
    </context>
    <context>
        <name>Text</name>
        <message>
            <source>KB</source>
            <translation>KB</translation>
        </message>
        <message>
            <source>MB</source>
            <translation>MB</translation>
        </message>
        <message>
            <source>GB</source>
            <translation>GB</translation>
        </message>
        <message>
            <source>TB</source>
            <translation>TB</translation>
        </message>
        <message>
            <source>PB</source>
            <translation>PB</translation>
        </message>
        <message numerus="yes">
            <source>%Ln B</source>
            <translation>
                <numerusform>%Ln B</numerusform>
                <numerusform>%Ln B</numerusform>
            </translation>
        </message>
        <message>
            <source>d MMM hh:mm</source>
            <extracomment>a date in the order of the language, and a clock; see QDateTime::toString()</extracomment>
            <translation>d. MMM hh:mm</translation>
        </message>
        <message>
            <source>d MMM yyyy hh:mm</source>
            <translation>d. MMM yyyy hh:mm</translation>
        </message>
        <message>
            <source>d MMMM yyyy, hh:mm:ss</source>
            <translation>d. MMMM yyyy, hh:mm:ss</translation>
        </message>
        <message>
            <source>less than a second</source>
            <translation>weniger als eine Sekunde</translation>
        </message>
        <message numerus="yes">
            <source>%Ln s</source>
            <translation>
                <numerusform>%Ln s</numerusform>
                <numerusform>%Ln s</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln min</source>
            <translation>
                <numerusform>%Ln min</numerusform>
                <numerusform>%Ln min</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln h</source>
            <translation>
                <numerusform>%Ln h</numerusform>
                <numerusform>%Ln h</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln days</source>
            <translation>
                <numerusform>%Ln Tag</numerusform>
                <numerusform>%Ln Tage</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 newer</source>
            <translation>%1 neuer</translation>
        </message>
        <message>
            <source>%1 older</source>
            <translation>%1 älter</translation>
        </message>
        <message>
            <source>same date</source>
            <translation>gleiches Datum</translation>
        </message>
        <message>
            <source>%1 larger</source>
            <translation>%1 größer</translation>
        </message>
        <message>
            <source>%1 smaller</source>
            <translation>%1 kleiner</translation>
        </message>
        <message>
            <source>same size</source>
            <translation>gleich groß</translation>
        </message>
    </context>
    <context>
        <name>TextPair</name>
        <message>
            <source>Text of the incoming one</source>
            <translation>Text des Ankommenden</translation>
        </message>
        <message>
            <source>Text of the one there now</source>
            <translation>Text des Vorhandenen</translation>
        </message>
        <message>
            <source>… only the beginning was compared</source>
            <translation>… nur der Anfang wurde verglichen</translation>
        </message>
    </context>
    <context>
        <name>WhenDialog</name>
        <message>
            <source>When “%1” runs</source>
            <translation>Wann „%1“ läuft</translation>
        </message>
        <message>
            <source>Only when somebody runs it</source>
            <translation>Nur, wenn ihn jemand ausführt</translation>
        </message>
        <message>
            <source>Every working day</source>
            <translation>Jeden Werktag</translation>
        </message>
        <message>
            <source>Every day</source>
            <translation>Jeden Tag</translation>
        </message>
        <message>
            <source>Every week on</source>
            <translation>Jede Woche am</translation>
        </message>
        <message>
            <source>The first of each month</source>
            <translation>Am Ersten jedes Monats</translation>
        </message>
        <message>
            <source>When something arrives where it takes from</source>
            <translation>Wenn etwas ankommt, woher er nimmt</translation>
        </message>
        <message>
            <source>By the calendar, in systemd's words:</source>
            <translation>Nach dem Kalender, in den Worten von systemd:</translation>
        </message>
        <message>
            <source>Day of the week</source>
            <translation>Wochentag</translation>
        </message>
        <message>
            <source>Calendar expression</source>
            <translation>Kalenderausdruck</translation>
        </message>
        <message>
            <source>At &amp;time</source>
            <translation>&amp;Um</translation>
        </message>
        <message>
            <source>At time</source>
            <translation>Uhrzeit</translation>
        </message>
        <message>
            <source>Set it</source>
            <translation>Setzen</translation>
        </message>
        <message>
            <source>It does not come again.</source>
            <translation>Es kommt nicht wieder.</translation>
        </message>
        <message>
            <source>Next:</source>
            <translation>Als nächstes:</translation>
        </message>
        <message>
            <source>dddd, d MMMM yyyy, HH:mm</source>
            <translation>dddd, d. MMMM yyyy, HH:mm</translation>
        </message>
        <message>
            <source>A minute or so after a file was added, removed or changed there, while you are logged in.</source>
            <translation>Etwa eine Minute, nachdem dort eine Datei hinzukam, entfernt oder geändert wurde, solange Sie angemeldet sind.</translation>
        </message>
        <message>
            <source>Type an expression, as Mon..Fri 18:00 or *-*-15 06:30 (systemd.time(7)).</source>
            <translation>Einen Ausdruck tippen, wie Mon..Fri 18:00 oder *-*-15 06:30 (systemd.time(7)).</translation>
        </message>
    </context>
    <context>
        <name>Wording</name>
        <message>
            <source>same</source>
            <translation>gleich</translation>
        </message>
        <message>
            <source>newer</source>
            <translation>neuer</translation>
        </message>
        <message>
            <source>older</source>
            <translation>älter</translation>
        </message>
        <message>
            <source>same date</source>
            <translation>gleiches Datum</translation>
        </message>
        <message>
            <source>other type</source>
            <translation>andere Art</translation>
        </message>
        <message>
            <source>twin</source>
            <translation>Zwilling</translation>
        </message>
        <message>
            <source>there already</source>
            <translation>schon dort</translation>
        </message>
        <message>
            <source>undecided</source>
            <translation>unentschieden</translation>
        </message>
        <message>
            <source>skip</source>
            <translation>überspringen</translation>
        </message>
        <message>
            <source>overwrite</source>
            <translation>überschreiben</translation>
        </message>
        <message>
            <source>rename</source>
            <translation>umbenennen</translation>
        </message>
        <message>
            <source>smaller</source>
            <translation>kleiner</translation>
        </message>
        <message>
            <source>of one size</source>
            <translation>gleich groß</translation>
        </message>
        <message>
            <source>larger</source>
            <translation>größer</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Überspringen</translation>
        </message>
        <message>
            <source>Overwrite</source>
            <translation>Überschreiben</translation>
        </message>
        <message>
            <source>Rename</source>
            <translation>Umbenennen</translation>
        </message>
        <message>
            <source>new name</source>
            <translation>neuer Name</translation>
        </message>
        <message>
            <source>new</source>
            <translation>neu</translation>
        </message>
        <message>
            <source>merge</source>
            <translation>zusammenführen</translation>
        </message>
        <message>
            <source>cannot be done</source>
            <translation>nicht möglich</translation>
        </message>
        <message>
            <source>goes</source>
            <translation>geht</translation>
        </message>
        <message>
            <source>comes back</source>
            <translation>kommt zurück</translation>
        </message>
        <message>
            <source>keeps its name</source>
            <translation>behält seinen Namen</translation>
        </message>
        <message>
            <source>the archive's name is taken</source>
            <translation>der Name des Archivs ist vergeben</translation>
        </message>
        <message>
            <source>changed since</source>
            <translation>seither geändert</translation>
        </message>
        <message>
            <source>comparing…</source>
            <translation>wird verglichen …</translation>
        </message>
        <message>
            <source>not reached</source>
            <translation>nicht erreicht</translation>
        </message>
        <message>
            <source>moved</source>
            <translation>verschoben</translation>
        </message>
        <message>
            <source>renamed</source>
            <translation>umbenannt</translation>
        </message>
        <message>
            <source>made</source>
            <translation>angelegt</translation>
        </message>
        <message>
            <source>packed</source>
            <translation>gepackt</translation>
        </message>
        <message>
            <source>unpacked</source>
            <translation>ausgepackt</translation>
        </message>
        <message>
            <source>copied</source>
            <translation>kopiert</translation>
        </message>
        <message>
            <source>overwritten</source>
            <translation>überschrieben</translation>
        </message>
        <message>
            <source>skipped</source>
            <translation>übersprungen</translation>
        </message>
        <message>
            <source>merged</source>
            <translation>zusammengeführt</translation>
        </message>
        <message>
            <source>failed</source>
            <translation>misslungen</translation>
        </message>
        <message>
            <source>removed</source>
            <translation>entfernt</translation>
        </message>
        <message>
            <source>taken away</source>
            <translation>weggenommen</translation>
        </message>
        <message>
            <source>put back</source>
            <translation>zurückgelegt</translation>
        </message>
        <message>
            <source>%1 into %2</source>
            <translation>%1 in %2</translation>
        </message>
        <message>
            <source>undone</source>
            <translation>zurückgenommen</translation>
        </message>
        <message>
            <source>done, with failures</source>
            <translation>fertig, mit Misslungenem</translation>
        </message>
        <message>
            <source>done</source>
            <translation>fertig</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>angehalten</translation>
        </message>
        <message>
            <source>interrupted, or still going on</source>
            <translation>unterbrochen, oder noch im Gange</translation>
        </message>
    </context>
</TS>
