<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="fr_FR">
    <context>
        <name>ExampleNames</name>
        <message>
            <source>%1 becomes %2</source>
            <translation>%1 devient %2</translation>
        </message>
        <message>
            <source>%1 becomes %2, which is taken</source>
            <translation>%1 devient %2, qui est pris</translation>
        </message>
        <message>
            <source>taken</source>
            <translation>pris</translation>
        </message>
    </context>
    <context>
        <name>ActionPalette</name>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
        <message>
            <source>Find an action</source>
            <translation>Trouver une action</translation>
        </message>
        <message>
            <source>A few letters of what is to be done</source>
            <translation>Quelques lettres de ce qu’il y a à faire</translation>
        </message>
        <message>
            <source>Actions</source>
            <translation>Actions</translation>
        </message>
    </context>
    <context>
        <name>ArrivalsLine</name>
        <message>
            <source>Only these</source>
            <translation>Seulement ceux-ci</translation>
        </message>
        <message>
            <source>Leaves out what was there before</source>
            <translation>Laisse de côté ce qui était là avant</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Fermer</translation>
        </message>
        <message numerus="yes">
            <source>%Ln came in here: %1</source>
            <translation>
                <numerusform>%Ln est arrivé ici : %1</numerusform>
                <numerusform>%Ln sont arrivés ici : %1</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>BalanceBar</name>
        <message numerus="yes">
            <source>%Ln get new names</source>
            <translation>
                <numerusform>%Ln reçoit un nouveau nom</numerusform>
                <numerusform>%Ln reçoivent de nouveaux noms</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln new</source>
            <translation>
                <numerusform>%Ln nouveau</numerusform>
                <numerusform>%Ln nouveaux</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln overwrite, old ones to the Safe</source>
            <translation>
                <numerusform>%Ln écrase, l’ancien au coffre</numerusform>
                <numerusform>%Ln écrasent, les anciens au coffre</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln get the nearest free name</source>
            <translation>
                <numerusform>%Ln reçoit le nom libre le plus proche</numerusform>
                <numerusform>%Ln reçoivent le nom libre le plus proche</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln renamed</source>
            <translation>
                <numerusform>%Ln renommé</numerusform>
                <numerusform>%Ln renommés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln same, skipped</source>
            <translation>
                <numerusform>%Ln identique, ignoré</numerusform>
                <numerusform>%Ln identiques, ignorés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln keep their names</source>
            <translation>
                <numerusform>%Ln garde son nom</numerusform>
                <numerusform>%Ln gardent leurs noms</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln skipped</source>
            <translation>
                <numerusform>%Ln ignoré</numerusform>
                <numerusform>%Ln ignorés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders merge</source>
            <translation>
                <numerusform>%Ln dossier fusionne</numerusform>
                <numerusform>%Ln dossiers fusionnent</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided</source>
            <translation>
                <numerusform>%Ln indécis</numerusform>
                <numerusform>%Ln indécis</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln cannot be done</source>
            <translation>
                <numerusform>%Ln impossible</numerusform>
                <numerusform>%Ln impossibles</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln leave, to the trash</source>
            <translation>
                <numerusform>%Ln part à la corbeille</numerusform>
                <numerusform>%Ln partent à la corbeille</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln leave, to the Safe</source>
            <translation>
                <numerusform>%Ln part au coffre</numerusform>
                <numerusform>%Ln partent au coffre</numerusform>
            </translation>
        </message>
        <message>
            <source>Balance</source>
            <translation>Bilan</translation>
        </message>
        <message>
            <source>Not possible: %1</source>
            <translation>Impossible : %1</translation>
        </message>
        <message numerus="yes">
            <source>Not possible: %1 (and %Ln more)</source>
            <translation>
                <numerusform>Impossible : %1 (et %Ln autre)</numerusform>
                <numerusform>Impossible : %1 (et %Ln autres)</numerusform>
            </translation>
        </message>
        <message>
            <source>Pick files on the left: click at the edge of a row, or select rows and press Space.</source>
            <translation>Prenez des fichiers à gauche : cliquez au bord d’une ligne, ou sélectionnez des lignes et appuyez sur Espace.</translation>
        </message>
        <message>
            <source>Say what the new names are: add a step below.</source>
            <translation>Dites quels seront les nouveaux noms : ajoutez une étape ci-dessous.</translation>
        </message>
        <message>
            <source>Say where they go: click the destination above, or go there on the left and press “Put here”.</source>
            <translation>Dites où ils vont : cliquez sur la destination ci-dessus, ou allez-y à gauche et appuyez sur « Ici ».</translation>
        </message>
        <message>
            <source>facts: %1 of %2</source>
            <translation>indications : %1 sur %2</translation>
        </message>
        <message>
            <source>reading what may be there already: %1 of %2 files</source>
            <translation>lecture de ce qui est peut-être déjà là : %1 fichiers sur %2</translation>
        </message>
        <message>
            <source>reading files of one size to see which are the same…</source>
            <translation>lecture des fichiers de même taille pour voir lesquels sont identiques…</translation>
        </message>
        <message>
            <source>working it out…</source>
            <translation>calcul en cours…</translation>
        </message>
        <message numerus="yes">
            <source>&lt;b&gt;%1&lt;/b&gt; in %Ln files leave; the undo brings them back</source>
            <translation>
                <numerusform>&lt;b&gt;%1&lt;/b&gt; dans %Ln fichier part ; l’annulation le ramène</numerusform>
                <numerusform>&lt;b&gt;%1&lt;/b&gt; dans %Ln fichiers partent ; l’annulation les ramène</numerusform>
            </translation>
        </message>
        <message>
            <source>&lt;b&gt;%1&lt;/b&gt; to pack · %2 free there</source>
            <translation>&lt;b&gt;%1&lt;/b&gt; à empaqueter · %2 libres là-bas</translation>
        </message>
        <message>
            <source>needs &lt;b&gt;%1&lt;/b&gt; · %2 free there</source>
            <translation>demande &lt;b&gt;%1&lt;/b&gt; · %2 libres là-bas</translation>
        </message>
        <message>
            <source>%1 free there</source>
            <translation>%1 libres là-bas</translation>
        </message>
        <message>
            <source>The destination cannot keep owners, permissions and extended attributes.</source>
            <translation>La destination ne peut garder ni propriétaires, ni permissions, ni attributs étendus.</translation>
        </message>
        <message>
            <source> · without owners and permissions</source>
            <translation> · sans propriétaires ni permissions</translation>
        </message>
    </context>
    <context>
        <name>BatchModel</name>
        <message numerus="yes">
            <source>%Ln files, %1</source>
            <translation>
                <numerusform>%Ln fichier, %1</numerusform>
                <numerusform>%Ln fichiers, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Modifié</translation>
        </message>
        <message>
            <source>From</source>
            <translation>Depuis</translation>
        </message>
    </context>
    <context>
        <name>BatchView</name>
        <message>
            <source>What is in hand</source>
            <translation>Ce qui est en main</translation>
        </message>
        <message>
            <source>Nothing is in hand. Pick files on the left: Space, or a click at the edge of a row.</source>
            <translation>Rien n’est en main. Prenez des fichiers à gauche : Espace, ou un clic au bord d’une ligne.</translation>
        </message>
        <message>
            <source>Take out</source>
            <translation>Retirer</translation>
        </message>
        <message>
            <source>Empty</source>
            <translation>Vider</translation>
        </message>
        <message>
            <source>Write to a file…</source>
            <translation>Écrire dans un fichier…</translation>
        </message>
        <message>
            <source>Read a file…</source>
            <translation>Lire un fichier…</translation>
        </message>
        <message numerus="yes">
            <source>%Ln files</source>
            <translation>
                <numerusform>%Ln fichier</numerusform>
                <numerusform>%Ln fichiers</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>from %Ln folders</source>
            <translation>
                <numerusform>de %Ln dossier</numerusform>
                <numerusform>de %Ln dossiers</numerusform>
            </translation>
        </message>
        <message>
            <source>Take out of the batch</source>
            <translation>Retirer du lot</translation>
        </message>
        <message>
            <source>Write the batch to a file</source>
            <translation>Écrire le lot dans un fichier</translation>
        </message>
        <message>
            <source>Paths, one a line (*.txt);;Table with sizes and dates (*.csv)</source>
            <translation>Chemins, un par ligne (*.txt);;Tableau avec tailles et dates (*.csv)</translation>
        </message>
        <message>
            <source>The batch is written to %1.</source>
            <translation>Le lot est écrit dans %1.</translation>
        </message>
        <message>
            <source>Read a batch from a file</source>
            <translation>Lire un lot depuis un fichier</translation>
        </message>
        <message>
            <source>Read a batch</source>
            <translation>Lire un lot</translation>
        </message>
        <message numerus="yes">
            <source>%Ln of the paths in the file are not there, and were left out.</source>
            <translation>
                <numerusform>%Ln chemin du fichier n’existe pas et a été laissé de côté.</numerusform>
                <numerusform>%Ln chemins du fichier n’existent pas et ont été laissés de côté.</numerusform>
            </translation>
        </message>
        <message>
            <source>The file names no path: a path begins with “/”, one a line.</source>
            <translation>Le fichier ne nomme aucun chemin : un chemin commence par « / », un par ligne.</translation>
        </message>
    </context>
    <context>
        <name>Bench</name>
        <message>
            <source>Take up</source>
            <translation>Reprendre</translation>
        </message>
        <message>
            <source>Decide</source>
            <translation>Décider</translation>
        </message>
        <message>
            <source>Type a name</source>
            <translation>Taper un nom</translation>
        </message>
        <message>
            <source>Say a fact</source>
            <translation>Dire une indication</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Prendre</translation>
        </message>
        <message>
            <source>Take out of the batch</source>
            <translation>Retirer du lot</translation>
        </message>
        <message>
            <source>Empty the batch</source>
            <translation>Vider le lot</translation>
        </message>
        <message>
            <source>Take in hand</source>
            <translation>Prendre en main</translation>
        </message>
    </context>
    <context>
        <name>ClipboardLine</name>
        <message>
            <source>Copy here</source>
            <translation>Copier ici</translation>
        </message>
        <message>
            <source>Move here</source>
            <translation>Déplacer ici</translation>
        </message>
        <message>
            <source>Takes them in hand, with the folder shown as destination; nothing runs yet</source>
            <translation>Les prend en main, avec le dossier affiché pour destination ; rien ne s’exécute encore</translation>
        </message>
        <message numerus="yes">
            <source>Clipboard: %Ln cut</source>
            <translation>
                <numerusform>Presse-papiers : %Ln coupé</numerusform>
                <numerusform>Presse-papiers : %Ln coupés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Clipboard: %Ln copied</source>
            <translation>
                <numerusform>Presse-papiers : %Ln copié</numerusform>
                <numerusform>Presse-papiers : %Ln copiés</numerusform>
            </translation>
        </message>
        <message>
            <source> from %1</source>
            <translation> de %1</translation>
        </message>
        <message numerus="yes">
            <source> from %Ln folders</source>
            <translation>
                <numerusform> de %Ln dossier</numerusform>
                <numerusform> de %Ln dossiers</numerusform>
            </translation>
        </message>
        <message>
            <source> at %1</source>
            <translation> dans %1</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln gone</source>
            <translation>
                <numerusform> · %Ln disparu</numerusform>
                <numerusform> · %Ln disparus</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>CollisionsPage</name>
        <message>
            <source>How the groups are cut</source>
            <translation>Comment les groupes sont formés</translation>
        </message>
        <message>
            <source>Grouped by finding</source>
            <translation>Groupés par constat</translation>
        </message>
        <message>
            <source>By finding and size</source>
            <translation>Par constat et taille</translation>
        </message>
        <message>
            <source>By finding and folder</source>
            <translation>Par constat et dossier</translation>
        </message>
        <message>
            <source>By finding and kind</source>
            <translation>Par constat et genre</translation>
        </message>
        <message>
            <source>Groups of names that are taken</source>
            <translation>Groupes de noms pris</translation>
        </message>
        <message>
            <source>It is the rule of this batch now; the sentence says so.</source>
            <translation>C’est désormais la règle de ce lot ; la phrase le dit.</translation>
        </message>
        <message>
            <source>Keep as a job…</source>
            <translation>Garder comme tâche…</translation>
        </message>
        <message>
            <source>What is on the bench, with these decisions as its rule, to be done again</source>
            <translation>Ce qui est sur l’établi, avec ces décisions pour règle, à refaire</translation>
        </message>
        <message>
            <source>Keys 1, 2, 3 decide, N next</source>
            <translation>Les touches 1, 2, 3 décident, N suivant</translation>
        </message>
        <message>
            <source>1 skip, 2 overwrite, 3 rename, 0 undecided; N and Shift+N to the next and the last undecided one; F2 the new name;
F7 the next difference; B each picture in the other's place; + and - closer and further</source>
            <translation>1 ignorer, 2 écraser, 3 renommer, 0 indécis ; N et Maj+N vers l’indécis suivant ou précédent ; F2 le nouveau nom ;
F7 la différence suivante ; B chaque image à la place de l’autre ; + et - plus près, plus loin</translation>
        </message>
        <message>
            <source>Only names with</source>
            <translation>Seulement les noms avec</translation>
        </message>
        <message>
            <source>Only names with… (groups and decisions are of these alone)</source>
            <translation>Seulement les noms avec… (groupes et décisions ne portent que sur eux)</translation>
        </message>
        <message>
            <source>Pairs of the group</source>
            <translation>Paires du groupe</translation>
        </message>
        <message>
            <source>New names…</source>
            <translation>Nouveaux noms…</translation>
        </message>
        <message>
            <source>No name is taken</source>
            <translation>Aucun nom n’est pris</translation>
        </message>
        <message numerus="yes">
            <source>%Ln meet what is there</source>
            <translation>
                <numerusform>%Ln rencontre ce qui est là</numerusform>
                <numerusform>%Ln rencontrent ce qui est là</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln settled</source>
            <translation>
                <numerusform>%Ln réglé</numerusform>
                <numerusform>%Ln réglés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>What collides with nothing, %Ln items, can start now.</source>
            <translation>
                <numerusform>Ce qui ne rencontre rien, %Ln élément, peut démarrer.</numerusform>
                <numerusform>Ce qui ne rencontre rien, %Ln éléments, peut démarrer.</numerusform>
            </translation>
        </message>
        <message>
            <source>What is undecided stays as it is, on both sides.</source>
            <translation>Ce qui est indécis reste tel quel, des deux côtés.</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Ignorer</translation>
        </message>
        <message>
            <source>Gets it</source>
            <translation>L’obtient</translation>
        </message>
        <message>
            <source>New name</source>
            <translation>Nouveau nom</translation>
        </message>
        <message>
            <source>No name that the batch wants is taken.</source>
            <translation>Aucun nom voulu par le lot n’est pris.</translation>
        </message>
        <message>
            <source>Pick files and choose a destination first.</source>
            <translation>Prenez d’abord des fichiers et choisissez une destination.</translation>
        </message>
        <message>
            <source>No name that is taken fits “%1”.</source>
            <translation>Aucun nom pris ne correspond à « %1 ».</translation>
        </message>
        <message>
            <source>Choose a pair to see the two face to face.</source>
            <translation>Choisissez une paire pour voir les deux face à face.</translation>
        </message>
        <message>
            <source>Incoming</source>
            <translation>Arrive</translation>
        </message>
        <message>
            <source>There now</source>
            <translation>Là maintenant</translation>
        </message>
        <message>
            <source>Also from the batch</source>
            <translation>Aussi du lot</translation>
        </message>
        <message numerus="yes">
            <source>%Ln selected</source>
            <translation>
                <numerusform>%Ln sélectionné</numerusform>
                <numerusform>%Ln sélectionnés</numerusform>
            </translation>
        </message>
        <message>
            <source>The one there would be renamed to</source>
            <translation>Celui qui est là serait renommé en</translation>
        </message>
        <message>
            <source>Incoming would be kept as</source>
            <translation>Celui qui arrive serait gardé comme</translation>
        </message>
        <message>
            <source>New name of the one that is there</source>
            <translation>Nouveau nom de celui qui est là</translation>
        </message>
        <message>
            <source>New name of the incoming one</source>
            <translation>Nouveau nom de celui qui arrive</translation>
        </message>
        <message>
            <source>“%1” is no name: it must hold something, and no “/”.</source>
            <translation>« %1 » n’est pas un nom : il doit contenir quelque chose, et pas de « / ».</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
        <message>
            <source>By number</source>
            <translation>Par numéro</translation>
        </message>
        <message>
            <source>By date of change</source>
            <translation>Par date de modification</translation>
        </message>
        <message>
            <source>With the folder that it comes from</source>
            <translation>Avec le dossier dont il vient</translation>
        </message>
        <message>
            <source>By a pattern of my own…</source>
            <translation>Selon mon propre motif…</translation>
        </message>
        <message>
            <source>Give the new name to the one that is there</source>
            <translation>Donner le nouveau nom à celui qui est là</translation>
        </message>
        <message>
            <source>Nothing is undecided.</source>
            <translation>Rien n’est indécis.</translation>
        </message>
        <message>
            <source>%1 and %2: %3</source>
            <translation>%1 et %2 : %3</translation>
        </message>
        <message>
            <source>Make it a rule: %1</source>
            <translation>En faire une règle : %1</translation>
        </message>
        <message>
            <source>From %1 of %2 decisions:
%3</source>
            <translation>De %1 décisions sur %2 :
%3</translation>
        </message>
    </context>
    <context>
        <name>ContactSheet</name>
        <message>
            <source>Files in this folder, as small pictures</source>
            <translation>Fichiers de ce dossier, en petites images</translation>
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
            <translation>Des fichiers sont copiés ou déplacés</translation>
        </message>
        <message>
            <source>A run is paused</source>
            <translation>Une exécution est en pause</translation>
        </message>
        <message numerus="yes">
            <source>A run has ended, and %Ln items need you</source>
            <translation>
                <numerusform>Une exécution est finie, et %Ln élément a besoin de vous</numerusform>
                <numerusform>Une exécution est finie, et %Ln éléments ont besoin de vous</numerusform>
            </translation>
        </message>
        <message>
            <source>A run is done</source>
            <translation>Une exécution est terminée</translation>
        </message>
    </context>
    <context>
        <name>DestinationPanel</name>
        <message>
            <source>Choose the destination</source>
            <translation>Choisir la destination</translation>
        </message>
        <message>
            <source>Destination folder</source>
            <translation>Dossier de destination</translation>
        </message>
        <message>
            <source>Type a folder; one that is not there yet will be made</source>
            <translation>Tapez un dossier ; s’il n’existe pas encore, il sera créé</translation>
        </message>
        <message>
            <source>Put here</source>
            <translation>Ici</translation>
        </message>
        <message>
            <source>Choose in a dialog…</source>
            <translation>Choisir dans une boîte de dialogue…</translation>
        </message>
        <message>
            <source>Destination</source>
            <translation>Destination</translation>
        </message>
        <message>
            <source>Kept at hand</source>
            <translation>Sous la main</translation>
        </message>
        <message>
            <source>Used before</source>
            <translation>Utilisés auparavant</translation>
        </message>
        <message>
            <source>Let go</source>
            <translation>Lâcher</translation>
        </message>
        <message>
            <source>Keep at hand</source>
            <translation>Garder sous la main</translation>
        </message>
        <message>
            <source>No longer keep %1 at hand</source>
            <translation>Ne plus garder %1 sous la main</translation>
        </message>
        <message>
            <source>Keep %1 at hand</source>
            <translation>Garder %1 sous la main</translation>
        </message>
        <message>
            <source>%1 is there.</source>
            <translation>%1 existe.</translation>
        </message>
        <message>
            <source>%1: the run will make its last folder.</source>
            <translation>%1 : l’exécution créera son dernier dossier.</translation>
        </message>
        <message numerus="yes">
            <source>%1: the run will make the last %Ln folders of it.</source>
            <translation>
                <numerusform>%1 : l’exécution créera son dernier dossier (%Ln).</numerusform>
                <numerusform>%1 : l’exécution créera ses %Ln derniers dossiers.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>EditorRow</name>
        <message>
            <source>Drag to another place; or Alt+Up, Alt+Down anywhere in the line</source>
            <translation>Glisser à une autre place ; ou Alt+Haut, Alt+Bas n’importe où dans la ligne</translation>
        </message>
        <message>
            <source>Take out</source>
            <translation>Retirer</translation>
        </message>
        <message>
            <source>%1.</source>
            <translation>%1.</translation>
        </message>
        <message>
            <source>Line %1: %2</source>
            <translation>Ligne %1 : %2</translation>
        </message>
    </context>
    <context>
        <name>ErrorWords</name>
        <message>
            <source>is not there</source>
            <translation>n’est pas là</translation>
        </message>
        <message>
            <source>permission denied</source>
            <translation>permission refusée</translation>
        </message>
        <message>
            <source>is not a folder</source>
            <translation>n’est pas un dossier</translation>
        </message>
        <message>
            <source>is no folder</source>
            <translation>n’est pas un dossier</translation>
        </message>
        <message>
            <source>the disk is full</source>
            <translation>le disque est plein</translation>
        </message>
        <message>
            <source>the quota is used up</source>
            <translation>le quota est épuisé</translation>
        </message>
        <message>
            <source>the file system is read-only</source>
            <translation>le système de fichiers est en lecture seule</translation>
        </message>
        <message>
            <source>is larger than a file can be there</source>
            <translation>est plus grand qu’un fichier ne peut l’être là</translation>
        </message>
        <message>
            <source>the name is too long</source>
            <translation>le nom est trop long</translation>
        </message>
        <message>
            <source>a number in its name would fall below 0</source>
            <translation>un nombre du nom passerait sous 0</translation>
        </message>
        <message>
            <source>a whole file system cannot be taken</source>
            <translation>un système de fichiers entier ne peut pas être pris</translation>
        </message>
        <message>
            <source>another folder stands here now</source>
            <translation>un autre dossier se trouve ici maintenant</translation>
        </message>
        <message>
            <source>are no facts</source>
            <translation>ne sont pas des informations</translation>
        </message>
        <message>
            <source>brings down what reads it, or needs too much memory</source>
            <translation>fait échouer ce qui le lit, ou demande trop de mémoire</translation>
        </message>
        <message>
            <source>brought down what reads it, several times</source>
            <translation>a fait échouer plusieurs fois ce qui le lit</translation>
        </message>
        <message>
            <source>cannot be checked: systemd-analyze is not there</source>
            <translation>ne peut pas être vérifié : systemd-analyze manque</translation>
        </message>
        <message>
            <source>cannot be done: %1</source>
            <translation>ne peut pas être fait : %1</translation>
        </message>
        <message>
            <source>cannot be read: %1</source>
            <translation>ne peut pas être lu : %1</translation>
        </message>
        <message>
            <source>cannot be loaded: a library of it is missing</source>
            <translation>ne peut pas être chargé : une de ses bibliothèques manque</translation>
        </message>
        <message>
            <source>cannot be started</source>
            <translation>ne peut pas être démarré</translation>
        </message>
        <message>
            <source>cannot hold two names of a file</source>
            <translation>ne peut pas contenir deux noms d’un fichier</translation>
        </message>
        <message>
            <source>changed after it was read</source>
            <translation>a changé après avoir été lu</translation>
        </message>
        <message>
            <source>changed after the decision was taken</source>
            <translation>a changé après la décision</translation>
        </message>
        <message>
            <source>changed while it was moved</source>
            <translation>a changé pendant le déplacement</translation>
        </message>
        <message>
            <source>changed while it was read</source>
            <translation>a changé pendant la lecture</translation>
        </message>
        <message>
            <source>ended before its time</source>
            <translation>s’est terminé trop tôt</translation>
        </message>
        <message>
            <source>folds case, so everything is counted first</source>
            <translation>ne distingue pas la casse, donc tout est compté d’abord</translation>
        </message>
        <message>
            <source>has a name that is no UTF-8, as names in a zip archive are</source>
            <translation>a un nom qui n’est pas en UTF-8, comme le sont les noms d’une archive zip</translation>
        </message>
        <message>
            <source>has no sticky bit</source>
            <translation>n’a pas de bit « sticky »</translation>
        </message>
        <message>
            <source>has no trash, and none can be made</source>
            <translation>n’a pas de corbeille, et aucune ne peut être créée</translation>
        </message>
        <message>
            <source>has no trash, and none can be made (%1)</source>
            <translation>n’a pas de corbeille, et aucune ne peut être créée (%1)</translation>
        </message>
        <message>
            <source>has not come to its end, so it is undone whole or gone on with first</source>
            <translation>n’est pas arrivé à sa fin, donc on l’annule en entier ou on le poursuit d’abord</translation>
        </message>
        <message>
            <source>has not ended</source>
            <translation>n’est pas terminé</translation>
        </message>
        <message>
            <source>has nothing in it: nothing could be packed</source>
            <translation>ne contient rien : rien n’a pu être archivé</translation>
        </message>
        <message>
            <source>holds a job that cannot be read: %1</source>
            <translation>contient une tâche qui ne peut pas être lue : %1</translation>
        </message>
        <message>
            <source>holds Tavlo's own records, and stays</source>
            <translation>contient les propres registres de Tavlo, et reste</translation>
        </message>
        <message>
            <source>holds versions that were set aside, and stays</source>
            <translation>contient des versions mises de côté, et reste</translation>
        </message>
        <message>
            <source>holds a mount of another file system, and stays</source>
            <translation>contient un autre système de fichiers monté, et reste</translation>
        </message>
        <message>
            <source>is a fifo, socket or device, which is left alone</source>
            <translation>est un tube, une socket ou un périphérique, qui est laissé tel quel</translation>
        </message>
        <message>
            <source>is a folder into itself: %1 lies in it</source>
            <translation>est un dossier vers lui-même : %1 s’y trouve</translation>
        </message>
        <message>
            <source>is a folder, and no archive</source>
            <translation>est un dossier, et non une archive</translation>
        </message>
        <message>
            <source>is a link that leads back to a folder it lies in</source>
            <translation>est un lien qui ramène à un dossier où il se trouve</translation>
        </message>
        <message>
            <source>is a link that leads nowhere</source>
            <translation>est un lien qui ne mène nulle part</translation>
        </message>
        <message>
            <source>is a link, which the destination cannot hold</source>
            <translation>est un lien, que la destination ne peut pas contenir</translation>
        </message>
        <message>
            <source>is a mount of another file system, and stays</source>
            <translation>est un autre système de fichiers monté, et reste</translation>
        </message>
        <message>
            <source>is a mount of another file system, which is not crossed</source>
            <translation>est un autre système de fichiers monté, où l’on n’entre pas</translation>
        </message>
        <message>
            <source>is a name too long for a unit of systemd</source>
            <translation>est un nom trop long pour une unité de systemd</translation>
        </message>
        <message>
            <source>is another folder than the one that was looked at</source>
            <translation>est un autre dossier que celui qui a été examiné</translation>
        </message>
        <message>
            <source>is another one than was looked at</source>
            <translation>est un autre que celui qui a été examiné</translation>
        </message>
        <message>
            <source>is another one than was made</source>
            <translation>est un autre que celui qui a été créé</translation>
        </message>
        <message>
            <source>is being read or written by another run, and stays</source>
            <translation>est lu ou écrit en ce moment par une autre exécution, et reste</translation>
        </message>
        <message>
            <source>is empty</source>
            <translation>est vide</translation>
        </message>
        <message>
            <source>is larger than a file can be in the destination</source>
            <translation>est plus grand qu’un fichier ne peut l’être dans la destination</translation>
        </message>
        <message>
            <source>is larger than it should be</source>
            <translation>est plus grand qu’il ne devrait</translation>
        </message>
        <message>
            <source>is longer than it says</source>
            <translation>est plus long qu’il ne le dit</translation>
        </message>
        <message>
            <source>is shorter than it says</source>
            <translation>est plus court qu’il ne le dit</translation>
        </message>
        <message>
            <source>is missing</source>
            <translation>manque</translation>
        </message>
        <message>
            <source>is missing: Tavlo is not completely installed</source>
            <translation>manque : Tavlo n’est pas complètement installé</translation>
        </message>
        <message>
            <source>is no archive: it is empty</source>
            <translation>n’est pas une archive : il est vide</translation>
        </message>
        <message>
            <source>is no calendar expression that systemd knows (systemd.time(7))</source>
            <translation>n’est pas une expression de calendrier que systemd connaît (systemd.time(7))</translation>
        </message>
        <message>
            <source>is no expression that can be used: %1</source>
            <translation>n’est pas une expression utilisable : %1</translation>
        </message>
        <message>
            <source>is no file</source>
            <translation>n’est pas un fichier</translation>
        </message>
        <message>
            <source>is no kind; there are %1</source>
            <translation>n’est pas un genre ; il y a %1</translation>
        </message>
        <message>
            <source>is no longer a regular file</source>
            <translation>n’est plus un fichier ordinaire</translation>
        </message>
        <message>
            <source>is no longer in the trash</source>
            <translation>n’est plus dans la corbeille</translation>
        </message>
        <message>
            <source>is no longer the Safe's own folder</source>
            <translation>n’est plus le propre dossier du coffre</translation>
        </message>
        <message>
            <source>is no longer the folder that was looked at</source>
            <translation>n’est plus le dossier qui a été examiné</translation>
        </message>
        <message>
            <source>is no longer there</source>
            <translation>n’est plus là</translation>
        </message>
        <message>
            <source>is no regular file</source>
            <translation>n’est pas un fichier ordinaire</translation>
        </message>
        <message>
            <source>is no saved job; tavloctl jobs lists them</source>
            <translation>n’est pas une tâche enregistrée</translation>
        </message>
        <message>
            <source>is no text file</source>
            <translation>n’est pas un fichier texte</translation>
        </message>
        <message>
            <source>is no trash of this user</source>
            <translation>n’est pas une corbeille de cet utilisateur</translation>
        </message>
        <message>
            <source>is not a private folder of this user</source>
            <translation>n’est pas un dossier privé de cet utilisateur</translation>
        </message>
        <message>
            <source>is not in the archive</source>
            <translation>n’est pas dans l’archive</translation>
        </message>
        <message>
            <source>is not known</source>
            <translation>n’est pas connu</translation>
        </message>
        <message>
            <source>is not the one that the decision was made about</source>
            <translation>n’est pas celui sur lequel on a décidé</translation>
        </message>
        <message>
            <source>is not the receipt of an undo</source>
            <translation>n’est pas le reçu d’une annulation</translation>
        </message>
        <message>
            <source>is not the version that was set aside</source>
            <translation>n’est pas la version mise de côté</translation>
        </message>
        <message>
            <source>is open for writing elsewhere, and stays</source>
            <translation>est ouvert en écriture ailleurs, et reste</translation>
        </message>
        <message>
            <source>is somebody's own folder</source>
            <translation>est le dossier personnel de quelqu’un</translation>
        </message>
        <message>
            <source>is still going on</source>
            <translation>est encore en cours</translation>
        </message>
        <message>
            <source>is the name of a saved job; --replace replaces it</source>
            <translation>est le nom d’une tâche enregistrée</translation>
        </message>
        <message>
            <source>is the root of the whole system, which is not emptied</source>
            <translation>est la racine de tout le système, que l’on ne vide pas</translation>
        </message>
        <message>
            <source>is to be counted first: %1</source>
            <translation>doit d’abord être compté : %1</translation>
        </message>
        <message>
            <source>is told of in words that cannot be read</source>
            <translation>est décrit en des termes illisibles</translation>
        </message>
        <message>
            <source>is too large to be read at once</source>
            <translation>est trop grand pour être lu d’un coup</translation>
        </message>
        <message>
            <source>its names are taken in the trash</source>
            <translation>ses noms sont pris dans la corbeille</translation>
        </message>
        <message>
            <source>its old name is taken</source>
            <translation>son ancien nom est pris</translation>
        </message>
        <message>
            <source>its old place is taken</source>
            <translation>son ancienne place est prise</translation>
        </message>
        <message>
            <source>its other name did not arrive</source>
            <translation>son autre nom n’est pas arrivé</translation>
        </message>
        <message>
            <source>its other name is gone</source>
            <translation>son autre nom a disparu</translation>
        </message>
        <message>
            <source>its version %1 is no longer in the Safe</source>
            <translation>sa version %1 n’est plus dans le coffre</translation>
        </message>
        <message>
            <source>lies in an archive that was changed meanwhile</source>
            <translation>se trouve dans une archive modifiée entre-temps</translation>
        </message>
        <message>
            <source>lies in an archive, which is only read</source>
            <translation>se trouve dans une archive, qui n’est que lue</translation>
        </message>
        <message>
            <source>lies on a file system that is read-only</source>
            <translation>se trouve sur un système de fichiers en lecture seule</translation>
        </message>
        <message>
            <source>lies on a volume that is not there now</source>
            <translation>se trouve sur un volume qui n’est pas là maintenant</translation>
        </message>
        <message>
            <source>line %1 is not NAME: EXTENSION EXTENSION …</source>
            <translation>la ligne %1 n’est pas NOM : EXTENSION EXTENSION …</translation>
        </message>
        <message>
            <source>may not have reached the disk: %1</source>
            <translation>n’a peut-être pas atteint le disque : %1</translation>
        </message>
        <message>
            <source>name %1</source>
            <translation>nom : %1</translation>
        </message>
        <message>
            <source>no random number could be had</source>
            <translation>aucun nombre aléatoire n’a pu être obtenu</translation>
        </message>
        <message>
            <source>nothing was asked for</source>
            <translation>rien n’a été demandé</translation>
        </message>
        <message>
            <source>reads back otherwise than it was packed: %1</source>
            <translation>se relit autrement qu’il n’a été archivé : %1</translation>
        </message>
        <message>
            <source>something else is there now</source>
            <translation>il y a autre chose maintenant</translation>
        </message>
        <message>
            <source>something else stands where its folder was</source>
            <translation>autre chose se trouve là où était son dossier</translation>
        </message>
        <message>
            <source>something else than a folder stands here now</source>
            <translation>il y a ici maintenant autre chose qu’un dossier</translation>
        </message>
        <message>
            <source>stays in the Safe, as its source does not hold the same bytes now</source>
            <translation>reste dans le coffre, car sa source n’a plus les mêmes octets</translation>
        </message>
        <message>
            <source>stays, as its age cannot be told: the clock has been put on or back since</source>
            <translation>reste, car son âge est incertain : l’horloge a été réglée depuis</translation>
        </message>
        <message>
            <source>stays, as the folder that it was could not be made again</source>
            <translation>reste, car son dossier n’a pas pu être recréé</translation>
        </message>
        <message>
            <source>still holds something, and stays</source>
            <translation>contient encore quelque chose, et reste</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>arrêté</translation>
        </message>
        <message>
            <source>takes far more work than its bytes can need</source>
            <translation>demande bien plus de travail que ses octets n’en exigent</translation>
        </message>
        <message>
            <source>takes from a folder that no unit can name</source>
            <translation>prend dans un dossier qu’aucune unité ne peut nommer</translation>
        </message>
        <message>
            <source>takes from no folder that could be watched</source>
            <translation>ne prend dans aucun dossier qui puisse être surveillé</translation>
        </message>
        <message>
            <source>takes something back, which is tried again by undoing it again</source>
            <translation>annule quelque chose ; on réessaie en annulant de nouveau</translation>
        </message>
        <message>
            <source>has no id left for a run</source>
            <translation>n’a plus d’identifiant libre pour une exécution</translation>
        </message>
        <message>
            <source>the archive that it goes into could not be made</source>
            <translation>l’archive où il doit aller n’a pas pu être créée</translation>
        </message>
        <message>
            <source>the archive that it goes into is %1</source>
            <translation>l’archive où il doit aller est %1</translation>
        </message>
        <message>
            <source>the folder it comes in could not be made</source>
            <translation>le dossier où il arrive n’a pas pu être créé</translation>
        </message>
        <message>
            <source>the folder it comes in could not be packed</source>
            <translation>le dossier où il arrive n’a pas pu être archivé</translation>
        </message>
        <message>
            <source>the folder it comes in is undecided</source>
            <translation>le dossier où il arrive est indécis</translation>
        </message>
        <message>
            <source>the list names nothing</source>
            <translation>la liste ne nomme rien</translation>
        </message>
        <message>
            <source>the name is held</source>
            <translation>le nom est pris</translation>
        </message>
        <message>
            <source>the name that it was to have did not come free</source>
            <translation>le nom qu’il devait avoir ne s’est pas libéré</translation>
        </message>
        <message>
            <source>the name was taken meanwhile</source>
            <translation>le nom a été pris entre-temps</translation>
        </message>
        <message>
            <source>there is no folder here that could hold the Safe</source>
            <translation>il n’y a ici aucun dossier qui puisse contenir le coffre</translation>
        </message>
        <message>
            <source>there is no such receipt</source>
            <translation>il n’y a pas de tel reçu</translation>
        </message>
        <message>
            <source>there is no such version in the Safe</source>
            <translation>il n’y a pas de telle version dans le coffre</translation>
        </message>
        <message>
            <source>took a part of the line only</source>
            <translation>n’a pris qu’une partie de la ligne</translation>
        </message>
        <message>
            <source>waits for its volume, which is not there now (%1)</source>
            <translation>attend son volume, qui n’est pas là maintenant (%1)</translation>
        </message>
        <message>
            <source>wants an expression</source>
            <translation>demande une expression</translation>
        </message>
        <message>
            <source>wants something to be replaced</source>
            <translation>demande quelque chose à remplacer</translation>
        </message>
        <message>
            <source>wants the extension without its dot</source>
            <translation>demande l’extension sans son point</translation>
        </message>
        <message>
            <source>wants a size such as 500, 20K, 1.5M or 2G, not '%1'</source>
            <translation>demande une taille comme 500, 20K, 1.5M ou 2G, pas « %1 »</translation>
        </message>
        <message>
            <source>wants a number, not '%1'</source>
            <translation>demande un nombre, pas « %1 »</translation>
        </message>
        <message>
            <source>wants a date as 2031-05-02, or 2031, not '%1'</source>
            <translation>demande une date comme 2031-05-02 ou 2031, pas « %1 »</translation>
        </message>
        <message>
            <source>wants FACT=GLOB, not '%1'</source>
            <translation>demande INFORMATION=MOTIF, pas « %1 »</translation>
        </message>
        <message>
            <source>was changed in the trash</source>
            <translation>a été modifié dans la corbeille</translation>
        </message>
        <message>
            <source>was changed since</source>
            <translation>a été modifié depuis</translation>
        </message>
        <message>
            <source>was moved while it was emptied</source>
            <translation>a été déplacé pendant qu’on le vidait</translation>
        </message>
        <message>
            <source>was taken away while its folder moved</source>
            <translation>a été enlevé pendant le déplacement de son dossier</translation>
        </message>
        <message>
            <source>was undone</source>
            <translation>a été annulé</translation>
        </message>
        <message>
            <source>was undone already, by %1</source>
            <translation>a déjà été annulé, par %1</translation>
        </message>
        <message>
            <source>was undone by %1</source>
            <translation>a été annulé par %1</translation>
        </message>
        <message>
            <source>was written, and has another size</source>
            <translation>a été écrit, et a une autre taille</translation>
        </message>
        <message>
            <source>what was written reads back otherwise</source>
            <translation>ce qui a été écrit se relit autrement</translation>
        </message>
        <message>
            <source>would go into itself</source>
            <translation>irait dans lui-même</translation>
        </message>
        <message>
            <source>would go onto itself</source>
            <translation>irait sur lui-même</translation>
        </message>
        <message>
            <source>would leave the destination, and is of the batch itself</source>
            <translation>quitterait la destination, et fait partie du lot lui-même</translation>
        </message>
        <message>
            <source>would leave the destination, and the batch comes out of it</source>
            <translation>quitterait la destination, et le lot en provient</translation>
        </message>
        <message>
            <source>would lose %1, which the destination cannot keep, and stays</source>
            <translation>perdrait %1, que la destination ne peut pas garder, et reste</translation>
        </message>
        <message>
            <source>would only be emptied: nothing of the batch goes there</source>
            <translation>serait seulement vidé : rien du lot n’y va</translation>
        </message>
        <message>
            <source>would overwrite a mount of another file system, or what holds one</source>
            <translation>écraserait un autre système de fichiers monté, ou ce qui en contient un</translation>
        </message>
        <message>
            <source>would overwrite what holds a mount of another file system</source>
            <translation>écraserait ce qui contient un autre système de fichiers monté</translation>
        </message>
        <message>
            <source>would have no name</source>
            <translation>n’aurait pas de nom</translation>
        </message>
        <message>
            <source>would have a name that every folder has</source>
            <translation>aurait un nom que tout dossier a</translation>
        </message>
        <message>
            <source>would have a name with '/', which parts folders</source>
            <translation>aurait un nom avec « / », qui sépare les dossiers</translation>
        </message>
        <message>
            <source>would have a name with a NUL, which ends it</source>
            <translation>aurait un nom avec un NUL, qui le termine</translation>
        </message>
        <message>
            <source>the name is longer than the %1 bytes that the destination can hold</source>
            <translation>le nom est plus long que les %1 octets que la destination peut contenir</translation>
        </message>
        <message>
            <source>the destination cannot hold a name with %1</source>
            <translation>la destination ne peut pas contenir un nom avec %1</translation>
        </message>
        <message>
            <source>the destination cannot hold a name with a control character</source>
            <translation>la destination ne peut pas contenir un nom avec un caractère de contrôle</translation>
        </message>
        <message>
            <source>the destination cannot hold a name that ends in a dot or a space</source>
            <translation>la destination ne peut pas contenir un nom qui finit par un point ou une espace</translation>
        </message>
        <message>
            <source>the destination cannot hold a name that is not valid UTF-8</source>
            <translation>la destination ne peut pas contenir un nom qui n’est pas en UTF-8 valide</translation>
        </message>
        <message>
            <source>has too little room: %1 bytes are needed, %2 are free</source>
            <translation>a trop peu de place : %1 octets sont nécessaires, %2 sont libres</translation>
        </message>
        <message>
            <source>has too little room: %1 new entries are needed, %2 are free</source>
            <translation>a trop peu de place : %1 nouvelles entrées sont nécessaires, %2 sont libres</translation>
        </message>
        <message>
            <source>knows no fact '%1'; there are %2</source>
            <translation>ne connaît pas l’information « %1 » ; il y a %2</translation>
        </message>
        <message>
            <source>has no tab in line %1</source>
            <translation>n’a pas de tabulation à la ligne %1</translation>
        </message>
        <message>
            <source>gives '%1' two new names, in lines %2</source>
            <translation>donne deux nouveaux noms à « %1 », aux lignes %2</translation>
        </message>
        <message>
            <source>line %1: nothing is named '%2'</source>
            <translation>ligne %1 : rien ne s’appelle « %2 »</translation>
        </message>
        <message>
            <source>line %1: nothing fits '%2'</source>
            <translation>ligne %1 : rien ne correspond à « %2 »</translation>
        </message>
        <message>
            <source>names no archive that can be made: a name and .zip, .tar, .tar.gz, .tgz, .tar.xz or .tar.zst</source>
            <translation>ne nomme aucune archive qui puisse être créée : un nom et .zip, .tar, .tar.gz, .tgz, .tar.xz ou .tar.zst</translation>
        </message>
        <message>
            <source>a move is planned whole</source>
            <translation>un déplacement est planifié en entier</translation>
        </message>
        <message>
            <source>folders are chosen by what is in them</source>
            <translation>les dossiers sont choisis d’après leur contenu</translation>
        </message>
        <message>
            <source>links are followed</source>
            <translation>les liens sont suivis</translation>
        </message>
        <message>
            <source>a link is followed</source>
            <translation>un lien est suivi</translation>
        </message>
        <message>
            <source>something is to leave the destination</source>
            <translation>quelque chose doit quitter la destination</translation>
        </message>
        <message>
            <source>new names are given</source>
            <translation>de nouveaux noms sont donnés</translation>
        </message>
        <message>
            <source>what is there under other names is looked for</source>
            <translation>on cherche ce qui est là sous d’autres noms</translation>
        </message>
        <message>
            <source>files are sorted by what they tell</source>
            <translation>les fichiers sont classés d’après ce qu’ils disent</translation>
        </message>
        <message>
            <source>several could want one name</source>
            <translation>plusieurs pourraient vouloir un même nom</translation>
        </message>
        <message>
            <source>subfolders are left out by what is in them</source>
            <translation>des sous-dossiers sont exclus d’après leur contenu</translation>
        </message>
        <message>
            <source>folders on the way are kept</source>
            <translation>les dossiers sur le chemin sont gardés</translation>
        </message>
        <message>
            <source>many things were picked one by one</source>
            <translation>beaucoup de choses ont été choisies une à une</translation>
        </message>
        <message>
            <source>'%1' is no fact of a file</source>
            <translation>« %1 » n’est pas une information d’un fichier</translation>
        </message>
        <message>
            <source>has a '}' that closes nothing, at character %1</source>
            <translation>a une « } » qui ne ferme rien, au caractère %1</translation>
        </message>
        <message>
            <source>has an empty level, at character %1</source>
            <translation>a un niveau vide, au caractère %1</translation>
        </message>
        <message>
            <source>has an open brace, at character %1</source>
            <translation>a une accolade ouverte, au caractère %1</translation>
        </message>
        <message>
            <source>knows no format '%1' of %2</source>
            <translation>ne connaît pas le format « %1 » de %2</translation>
        </message>
        <message>
            <source>%1 (at character %2)</source>
            <translation>%1 (au caractère %2)</translation>
        </message>
    </context>
    <context>
        <name>FaceToFace</name>
        <message>
            <source>%1 (%2 bytes)</source>
            <translation>%1 (%2 octets)</translation>
        </message>
        <message>
            <source>a folder</source>
            <translation>un dossier</translation>
        </message>
        <message>
            <source>a link</source>
            <translation>un lien</translation>
        </message>
        <message>
            <source>a special file</source>
            <translation>un fichier spécial</translation>
        </message>
        <message>
            <source>looking…</source>
            <translation>examen…</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Modifié</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Permissions</source>
            <translation>Permissions</translation>
        </message>
        <message>
            <source>%1 newer</source>
            <translation>%1 plus récent</translation>
        </message>
        <message>
            <source>%1 larger</source>
            <translation>%1 plus grand</translation>
        </message>
        <message>
            <source>No difference in what was read.</source>
            <translation>Aucune différence dans ce qui a été lu.</translation>
        </message>
        <message>
            <source>The same bytes.</source>
            <translation>Les mêmes octets.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln cells differ</source>
            <translation>
                <numerusform>%Ln cellule diffère</numerusform>
                <numerusform>%Ln cellules diffèrent</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln lines differ; F7 goes to the next</source>
            <translation>
                <numerusform>%Ln ligne diffère ; F7 va à la suivante</numerusform>
                <numerusform>%Ln lignes diffèrent ; F7 va à la suivante</numerusform>
            </translation>
        </message>
        <message>
            <source>The bytes differ from byte %1 on.</source>
            <translation>Les octets diffèrent à partir de l’octet %1.</translation>
        </message>
        <message>
            <source>The lines are the same; how they end, or how they are coded, differs.</source>
            <translation>Les lignes sont les mêmes ; leur fin ou leur codage diffère.</translation>
        </message>
        <message>
            <source>One of the two is not a file: there is nothing to set against each other.</source>
            <translation>L’un des deux n’est pas un fichier : il n’y a rien à mettre face à face.</translation>
        </message>
        <message>
            <source>There is nothing to see of files of this kind.</source>
            <translation>Il n’y a rien à voir des fichiers de ce genre.</translation>
        </message>
    </context>
    <context>
        <name>Facts</name>
        <message>
            <source>%1 taken</source>
            <translation>%1 de prise de vue</translation>
        </message>
        <message>
            <source>%1 begun</source>
            <translation>%1 de début</translation>
        </message>
        <message>
            <source>%1 of change</source>
            <translation>%1 de modification</translation>
        </message>
        <message>
            <source>name</source>
            <translation>nom</translation>
        </message>
        <message>
            <source>extension</source>
            <translation>extension</translation>
        </message>
        <message>
            <source>first letter</source>
            <translation>première lettre</translation>
        </message>
        <message>
            <source>kind</source>
            <translation>genre</translation>
        </message>
        <message>
            <source>folder it lies in</source>
            <translation>dossier où il se trouve</translation>
        </message>
        <message>
            <source>its own folders</source>
            <translation>ses propres dossiers</translation>
        </message>
        <message>
            <source>date of change</source>
            <translation>date de modification</translation>
        </message>
        <message>
            <source>day of change</source>
            <translation>jour de modification</translation>
        </message>
        <message>
            <source>time of change</source>
            <translation>heure de modification</translation>
        </message>
        <message>
            <source>owner</source>
            <translation>propriétaire</translation>
        </message>
        <message>
            <source>size in bytes</source>
            <translation>taille en octets</translation>
        </message>
        <message>
            <source>last number in the name</source>
            <translation>dernier nombre du nom</translation>
        </message>
        <message>
            <source>counter</source>
            <translation>compteur</translation>
        </message>
        <message>
            <source>date of the run</source>
            <translation>date de l’exécution</translation>
        </message>
        <message>
            <source>date taken</source>
            <translation>date de prise de vue</translation>
        </message>
        <message>
            <source>camera</source>
            <translation>appareil photo</translation>
        </message>
        <message>
            <source>country</source>
            <translation>pays</translation>
        </message>
        <message>
            <source>town</source>
            <translation>ville</translation>
        </message>
        <message>
            <source>width in pixels</source>
            <translation>largeur en pixels</translation>
        </message>
        <message>
            <source>height in pixels</source>
            <translation>hauteur en pixels</translation>
        </message>
        <message>
            <source>artist</source>
            <translation>artiste</translation>
        </message>
        <message>
            <source>album</source>
            <translation>album</translation>
        </message>
        <message>
            <source>title</source>
            <translation>titre</translation>
        </message>
        <message>
            <source>genre</source>
            <translation>genre musical</translation>
        </message>
        <message>
            <source>year of the recording</source>
            <translation>année de l’enregistrement</translation>
        </message>
        <message>
            <source>track</source>
            <translation>piste</translation>
        </message>
        <message>
            <source>author</source>
            <translation>auteur</translation>
        </message>
        <message>
            <source>company</source>
            <translation>société</translation>
        </message>
        <message>
            <source>subject</source>
            <translation>sujet</translation>
        </message>
        <message>
            <source>date begun</source>
            <translation>date de début</translation>
        </message>
        <message>
            <source>Of any file</source>
            <translation>De tout fichier</translation>
        </message>
        <message>
            <source>Of pictures</source>
            <translation>Des images</translation>
        </message>
        <message>
            <source>Of sound</source>
            <translation>Des sons</translation>
        </message>
        <message>
            <source>Of documents</source>
            <translation>Des documents</translation>
        </message>
        <message>
            <source>year</source>
            <translation>année</translation>
        </message>
        <message>
            <source>year and month</source>
            <translation>année et mois</translation>
        </message>
        <message>
            <source>day</source>
            <translation>jour</translation>
        </message>
        <message>
            <source>quarter</source>
            <translation>trimestre</translation>
        </message>
        <message>
            <source>week</source>
            <translation>semaine</translation>
        </message>
        <message>
            <source>month alone</source>
            <translation>mois seul</translation>
        </message>
        <message>
            <source>%1, or else %2</source>
            <translation>%1, sinon %2</translation>
        </message>
        <message>
            <source>, then </source>
            <translation>, puis </translation>
        </message>
    </context>
    <context>
        <name>FilterBar</name>
        <message>
            <source>Name filter</source>
            <translation>Filtre des noms</translation>
        </message>
        <message>
            <source>Also below</source>
            <translation>Aussi dessous</translation>
        </message>
        <message>
            <source>List all that fits in the folders below this one, too</source>
            <translation>Lister aussi tout ce qui convient dans les dossiers au-dessous</translation>
        </message>
        <message>
            <source>Clear</source>
            <translation>Effacer</translation>
        </message>
        <message>
            <source>Shows everything again (Esc)</source>
            <translation>Montre de nouveau tout (Échap)</translation>
        </message>
        <message>
            <source>Clear the filter</source>
            <translation>Effacer le filtre</translation>
        </message>
        <message>
            <source>One part of the filter cannot be read, and is left out for now.</source>
            <translation>Une partie du filtre n’est pas lisible et reste de côté pour l’instant.</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
        <message>
            <source>Kind</source>
            <translation>Genre</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Modifié</translation>
        </message>
        <message>
            <source>Number</source>
            <translation>Nombre</translation>
        </message>
        <message>
            <source>expression</source>
            <translation>expression</translation>
        </message>
        <message>
            <source>case counts</source>
            <translation>la casse compte</translation>
        </message>
        <message>
            <source>my own</source>
            <translation>les miens</translation>
        </message>
        <message>
            <source>owner %1</source>
            <translation>propriétaire %1</translation>
        </message>
        <message>
            <source>not below %1</source>
            <translation>pas sous %1</translation>
        </message>
        <message>
            <source>More</source>
            <translation>Plus</translation>
        </message>
        <message>
            <source>Expression, as ^permit-\d+ (RE2)</source>
            <translation>Expression, comme ^permit-\d+ (RE2)</translation>
        </message>
        <message>
            <source>Show names with… (words, *.pdf, -draft leaves out)</source>
            <translation>Noms avec… (mots, *.pdf, -brouillon exclut)</translation>
        </message>
        <message>
            <source>Any kind</source>
            <translation>Tout genre</translation>
        </message>
        <message>
            <source>Which extensions make which kind…</source>
            <translation>Quelles extensions font quel genre…</translation>
        </message>
        <message>
            <source>Any size</source>
            <translation>Toute taille</translation>
        </message>
        <message>
            <source>Empty files</source>
            <translation>Fichiers vides</translation>
        </message>
        <message>
            <source>Over 1 MB</source>
            <translation>Plus de 1 Mo</translation>
        </message>
        <message>
            <source>Over 100 MB</source>
            <translation>Plus de 100 Mo</translation>
        </message>
        <message>
            <source>More than</source>
            <translation>Plus de</translation>
        </message>
        <message>
            <source>20K, 1.5M, 2G</source>
            <translation>20K, 1.5M, 2G</translation>
        </message>
        <message>
            <source>Less than</source>
            <translation>Moins de</translation>
        </message>
        <message>
            <source>Since</source>
            <translation>Depuis</translation>
        </message>
        <message>
            <source>2031-05-02, or 30d</source>
            <translation>2031-05-02, ou 30d</translation>
        </message>
        <message>
            <source>Until</source>
            <translation>Jusqu’à</translation>
        </message>
        <message>
            <source>2031-05-31</source>
            <translation>2031-05-31</translation>
        </message>
        <message>
            <source>Any name</source>
            <translation>Tout nom</translation>
        </message>
        <message>
            <source>Odd: the last number in the name</source>
            <translation>Impair : le dernier nombre du nom</translation>
        </message>
        <message>
            <source>Even: the last number in the name</source>
            <translation>Pair : le dernier nombre du nom</translation>
        </message>
        <message>
            <source>A number from</source>
            <translation>Un nombre de</translation>
        </message>
        <message>
            <source>120</source>
            <translation>120</translation>
        </message>
        <message>
            <source>up to</source>
            <translation>à</translation>
        </message>
        <message>
            <source>135</source>
            <translation>135</translation>
        </message>
        <message>
            <source>Leave out folders</source>
            <translation>Exclure des dossiers</translation>
        </message>
        <message>
            <source>Names of folders, with commas between (* and ? fit anything):</source>
            <translation>Noms de dossiers, séparés par des virgules (* et ? valent pour tout) :</translation>
        </message>
        <message>
            <source>Upper and lower case count</source>
            <translation>Majuscules et minuscules comptent</translation>
        </message>
        <message>
            <source>Read the line as an expression (RE2)</source>
            <translation>Lire la ligne comme une expression (RE2)</translation>
        </message>
        <message>
            <source>Nothing below folders named…</source>
            <translation>Rien sous les dossiers nommés…</translation>
        </message>
        <message>
            <source>Owner</source>
            <translation>Propriétaire</translation>
        </message>
        <message>
            <source>Anybody</source>
            <translation>N’importe qui</translation>
        </message>
        <message>
            <source>My own</source>
            <translation>Les miens</translation>
        </message>
        <message>
            <source>Use “%1”</source>
            <translation>Utiliser « %1 »</translation>
        </message>
        <message>
            <source>Keep this filter under a name…</source>
            <translation>Garder ce filtre sous un nom…</translation>
        </message>
        <message>
            <source>Forget</source>
            <translation>Oublier</translation>
        </message>
        <message>
            <source>Keep this filter</source>
            <translation>Garder ce filtre</translation>
        </message>
        <message>
            <source>Name:</source>
            <translation>Nom :</translation>
        </message>
    </context>
    <context>
        <name>FilterState</name>
        <message>
            <source>at any time</source>
            <translation>n’importe quand</translation>
        </message>
        <message>
            <source>today</source>
            <translation>aujourd’hui</translation>
        </message>
        <message>
            <source>yesterday</source>
            <translation>hier</translation>
        </message>
        <message>
            <source>this week</source>
            <translation>cette semaine</translation>
        </message>
        <message>
            <source>last week</source>
            <translation>la semaine dernière</translation>
        </message>
        <message>
            <source>this month</source>
            <translation>ce mois-ci</translation>
        </message>
        <message>
            <source>last month</source>
            <translation>le mois dernier</translation>
        </message>
        <message>
            <source>this year</source>
            <translation>cette année</translation>
        </message>
        <message>
            <source>between two dates</source>
            <translation>entre deux dates</translation>
        </message>
        <message>
            <source>empty</source>
            <translation>vide</translation>
        </message>
        <message>
            <source>%1 to %2</source>
            <translation>%1 à %2</translation>
        </message>
        <message>
            <source>over %1</source>
            <translation>plus de %1</translation>
        </message>
        <message>
            <source>under %1</source>
            <translation>moins de %1</translation>
        </message>
        <message>
            <source>since %1</source>
            <translation>depuis %1</translation>
        </message>
        <message>
            <source>until %1</source>
            <translation>jusqu’à %1</translation>
        </message>
        <message>
            <source>from %1</source>
            <translation>à partir de %1</translation>
        </message>
        <message>
            <source>up to %1</source>
            <translation>jusqu’à %1</translation>
        </message>
        <message>
            <source>odd</source>
            <translation>impair</translation>
        </message>
        <message>
            <source>even</source>
            <translation>pair</translation>
        </message>
    </context>
    <context>
        <name>FolderLevelRow</name>
        <message>
            <source>Take this level out</source>
            <translation>Retirer ce niveau</translation>
        </message>
        <message>
            <source>Text with facts in braces</source>
            <translation>Texte avec des indications entre accolades</translation>
        </message>
        <message>
            <source>text with facts in braces: {kind}-{taken:%Y}</source>
            <translation>texte avec des indications entre accolades : {kind}-{taken:%Y}</translation>
        </message>
        <message>
            <source>What the folder is named by</source>
            <translation>D’après quoi le dossier est nommé</translation>
        </message>
        <message>
            <source>How the date is written</source>
            <translation>Comment la date est écrite</translation>
        </message>
        <message>
            <source>The fact that stands in where that one is not known</source>
            <translation>L’indication qui la remplace où elle n’est pas connue</translation>
        </message>
        <message>
            <source>nothing else</source>
            <translation>rien d’autre</translation>
        </message>
        <message>
            <source>or else</source>
            <translation>sinon</translation>
        </message>
        <message>
            <source>The folder where it is not known</source>
            <translation>Le dossier où elle n’est pas connue</translation>
        </message>
        <message>
            <source>%1 of %2: %3</source>
            <translation>%1 sur %2 : %3</translation>
        </message>
        <message>
            <source>none knows it</source>
            <translation>aucun ne la connaît</translation>
        </message>
    </context>
    <context>
        <name>FolderLevelsPanel</name>
        <message>
            <source>Pictures: year, then town</source>
            <translation>Images : année, puis ville</translation>
        </message>
        <message>
            <source>Pictures: year, then day</source>
            <translation>Images : année, puis jour</translation>
        </message>
        <message>
            <source>Sound: artist, then album</source>
            <translation>Sons : artiste, puis album</translation>
        </message>
        <message>
            <source>Documents: company, then author</source>
            <translation>Documents : société, puis auteur</translation>
        </message>
        <message>
            <source>Anything: kind, then first letter</source>
            <translation>Tout : genre, puis première lettre</translation>
        </message>
        <message>
            <source>Anything: year and month of change</source>
            <translation>Tout : année et mois de modification</translation>
        </message>
        <message>
            <source>Folders by what files tell, level by level</source>
            <translation>Dossiers selon ce que disent les fichiers, niveau par niveau</translation>
        </message>
        <message>
            <source>Add a level</source>
            <translation>Ajouter un niveau</translation>
        </message>
        <message>
            <source>Ready and kept ones</source>
            <translation>Prêts et gardés</translation>
        </message>
        <message>
            <source>Do not sort</source>
            <translation>Ne pas trier</translation>
        </message>
        <message>
            <source>Files are being read: %1 of %2</source>
            <translation>Lecture des fichiers : %1 sur %2</translation>
        </message>
        <message>
            <source>  ·  %1 of %2: %3</source>
            <translation>  ·  %1 sur %2 : %3</translation>
        </message>
        <message>
            <source>Text with facts in braces</source>
            <translation>Texte avec des indications entre accolades</translation>
        </message>
        <message>
            <source>Keep these under a name…</source>
            <translation>Garder ceux-ci sous un nom…</translation>
        </message>
        <message>
            <source>Keep these levels</source>
            <translation>Garder ces niveaux</translation>
        </message>
        <message>
            <source>Kept as %1.</source>
            <translation>Gardé sous %1.</translation>
        </message>
        <message>
            <source>Levels of folders</source>
            <translation>Niveaux des dossiers</translation>
        </message>
    </context>
    <context>
        <name>FolderModel</name>
        <message>
            <source>no files</source>
            <translation>aucun fichier</translation>
        </message>
        <message numerus="yes">
            <source>%Ln files, %1</source>
            <translation>
                <numerusform>%Ln fichier, %1</numerusform>
                <numerusform>%Ln fichiers, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>here</source>
            <translation>ici</translation>
        </message>
        <message>
            <source>%1, came in</source>
            <translation>%1, arrivé</translation>
        </message>
        <message>
            <source>%1, in the batch</source>
            <translation>%1, dans le lot</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Kind</source>
            <translation>Genre</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Modifié</translation>
        </message>
        <message>
            <source>Owner</source>
            <translation>Propriétaire</translation>
        </message>
        <message>
            <source>Permissions</source>
            <translation>Permissions</translation>
        </message>
        <message>
            <source>Folder</source>
            <translation>Dossier</translation>
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
            <translation>Images</translation>
        </message>
        <message>
            <source>The folder as small pictures, to pick by eye (F9)</source>
            <translation>Le dossier en petites images, pour choisir à vue (F9)</translation>
        </message>
        <message>
            <source>Pick what a list names</source>
            <translation>Prendre ce que nomme une liste</translation>
        </message>
        <message>
            <source>Up</source>
            <translation>Remonter</translation>
        </message>
        <message>
            <source>The folder above (Alt+Up)</source>
            <translation>Le dossier au-dessus (Alt+Haut)</translation>
        </message>
        <message>
            <source>Places</source>
            <translation>Lieux</translation>
        </message>
        <message>
            <source>Put here</source>
            <translation>Ici</translation>
        </message>
        <message>
            <source>Make the folder shown the destination (Ctrl+Shift+D)</source>
            <translation>Faire du dossier affiché la destination (Ctrl+Maj+D)</translation>
        </message>
        <message>
            <source>Paste a list…</source>
            <translation>Coller une liste…</translation>
        </message>
        <message>
            <source>Pick what a list from a mail, a sheet or a file names (Ctrl+Shift+V)</source>
            <translation>Prendre ce que nomme une liste d’un courriel, d’un tableau ou d’un fichier (Ctrl+Maj+V)</translation>
        </message>
        <message>
            <source>Files in this folder</source>
            <translation>Fichiers de ce dossier</translation>
        </message>
        <message>
            <source>Take out of the batch</source>
            <translation>Retirer du lot</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Prendre</translation>
        </message>
        <message>
            <source>Pick all files shown</source>
            <translation>Prendre tous les fichiers affichés</translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit, here and below</source>
            <translation>
                <numerusform>%Ln convient, ici et dessous</numerusform>
                <numerusform>%Ln conviennent, ici et dessous</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit so far, looking on…</source>
            <translation>
                <numerusform>%Ln convient jusqu’ici, la recherche continue…</numerusform>
                <numerusform>%Ln conviennent jusqu’ici, la recherche continue…</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln here</source>
            <translation>
                <numerusform>%Ln ici</numerusform>
                <numerusform>%Ln ici</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 here, %2 hidden</source>
            <translation>%1 ici, %2 cachés</translation>
        </message>
        <message>
            <source>%1 of %2 shown</source>
            <translation>%1 affichés sur %2</translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders</source>
            <translation>
                <numerusform>%Ln dossier</numerusform>
                <numerusform>%Ln dossiers</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln selected</source>
            <translation>
                <numerusform>%Ln sélectionné</numerusform>
                <numerusform>%Ln sélectionnés</numerusform>
            </translation>
        </message>
        <message>
            <source>This folder cannot be read: %1</source>
            <translation>Ce dossier n’est pas lisible : %1</translation>
        </message>
        <message>
            <source>Looking…</source>
            <translation>Lecture…</translation>
        </message>
        <message>
            <source>This folder is empty.</source>
            <translation>Ce dossier est vide.</translation>
        </message>
        <message>
            <source>Nothing here fits the filter (Esc clears it).</source>
            <translation>Rien ici ne convient au filtre (Échap l’efface).</translation>
        </message>
        <message>
            <source>Everything here is hidden (Ctrl+H shows it).</source>
            <translation>Tout ici est caché (Ctrl+H le montre).</translation>
        </message>
        <message>
            <source>Pick or drop	Space</source>
            <translation>Prendre ou lâcher	Espace</translation>
        </message>
        <message>
            <source>Open</source>
            <translation>Ouvrir</translation>
        </message>
        <message>
            <source>Open in another window</source>
            <translation>Ouvrir dans une autre fenêtre</translation>
        </message>
        <message>
            <source>Make it the destination</source>
            <translation>En faire la destination</translation>
        </message>
        <message>
            <source>What stands out below it</source>
            <translation>Ce qui ressort dessous</translation>
        </message>
        <message>
            <source>Look into the archive	Return</source>
            <translation>Regarder dans l’archive	Entrée</translation>
        </message>
        <message>
            <source>Unpack</source>
            <translation>Dépaqueter</translation>
        </message>
        <message>
            <source>Open the folder it lies in</source>
            <translation>Ouvrir le dossier où il se trouve</translation>
        </message>
        <message>
            <source>Rename…	F2</source>
            <translation>Renommer…	F2</translation>
        </message>
        <message>
            <source>Move to the trash	Del</source>
            <translation>Mettre à la corbeille	Suppr</translation>
        </message>
        <message>
            <source>New folder…	Ctrl+Shift+N</source>
            <translation>Nouveau dossier…	Ctrl+Maj+N</translation>
        </message>
        <message>
            <source>What stands out below this folder</source>
            <translation>Ce qui ressort sous ce dossier</translation>
        </message>
        <message>
            <source>In the order of</source>
            <translation>Dans l’ordre de</translation>
        </message>
        <message numerus="yes">
            <source>%Ln picked here</source>
            <translation>
                <numerusform>%Ln choisi ici</numerusform>
                <numerusform>%Ln choisis ici</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln in the batch</source>
            <translation>
                <numerusform>%Ln dans le lot</numerusform>
                <numerusform>%Ln dans le lot</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>GroupModel</name>
        <message>
            <source>Not compared yet</source>
            <translation>Pas encore comparés</translation>
        </message>
        <message>
            <source>Same bytes</source>
            <translation>Mêmes octets</translation>
        </message>
        <message>
            <source>Incoming newer</source>
            <translation>Plus récents à l’arrivée</translation>
        </message>
        <message>
            <source>Incoming older</source>
            <translation>Plus anciens à l’arrivée</translation>
        </message>
        <message>
            <source>Same date, other bytes</source>
            <translation>Même date, autres octets</translation>
        </message>
        <message>
            <source>A folder and a file</source>
            <translation>Un dossier et un fichier</translation>
        </message>
        <message>
            <source>Several of the batch, one name</source>
            <translation>Plusieurs du lot, un seul nom</translation>
        </message>
        <message>
            <source>There under another name</source>
            <translation>Là sous un autre nom</translation>
        </message>
        <message>
            <source>%1, %2</source>
            <translation>%1, %2</translation>
        </message>
        <message>
            <source>smaller</source>
            <translation>plus petit</translation>
        </message>
        <message>
            <source>same size</source>
            <translation>même taille</translation>
        </message>
        <message>
            <source>larger</source>
            <translation>plus grand</translation>
        </message>
        <message>
            <source>%1 · from %2</source>
            <translation>%1 · de %2</translation>
        </message>
        <message>
            <source>%1 · %2</source>
            <translation>%1 · %2</translation>
        </message>
        <message>
            <source>other kinds</source>
            <translation>autres genres</translation>
        </message>
        <message>
            <source>being read, one after the other</source>
            <translation>lus l’un après l’autre</translation>
        </message>
        <message>
            <source>nothing would change</source>
            <translation>rien ne changerait</translation>
        </message>
        <message>
            <source>newer by up to %1</source>
            <translation>plus récents de %1 au plus</translation>
        </message>
        <message>
            <source>there now is newer by up to %1</source>
            <translation>ce qui est là est plus récent de %1 au plus</translation>
        </message>
        <message>
            <source>of one size too</source>
            <translation>de même taille aussi</translation>
        </message>
        <message>
            <source>sizes differ by up to %1</source>
            <translation>les tailles diffèrent de %1 au plus</translation>
        </message>
        <message>
            <source>what comes in the folder goes with it</source>
            <translation>ce qui vient dans le dossier part avec lui</translation>
        </message>
        <message>
            <source>which of them gets it?</source>
            <translation>lequel l’obtient ?</translation>
        </message>
        <message>
            <source>their own names are free; the bytes are there already</source>
            <translation>leurs propres noms sont libres ; les octets sont déjà là</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln élément</numerusform>
                <numerusform>%Ln éléments</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln pairs</source>
            <translation>
                <numerusform>%Ln paire</numerusform>
                <numerusform>%Ln paires</numerusform>
            </translation>
        </message>
        <message>
            <source>First</source>
            <translation>Le premier</translation>
        </message>
        <message>
            <source>Newest</source>
            <translation>Le plus récent</translation>
        </message>
        <message>
            <source>All, new names</source>
            <translation>Tous, nouveaux noms</translation>
        </message>
        <message numerus="yes">
            <source>%Ln open</source>
            <translation>
                <numerusform>%Ln ouvert</numerusform>
                <numerusform>%Ln ouverts</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln other</source>
            <translation>
                <numerusform>%Ln autre</numerusform>
                <numerusform>%Ln autres</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 to the Safe</source>
            <translation>%1 au coffre</translation>
        </message>
        <message>
            <source>undecided</source>
            <translation>indécis</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Ignorer</translation>
        </message>
        <message>
            <source>Come in</source>
            <translation>Entrer</translation>
        </message>
    </context>
    <context>
        <name>InstructionLine</name>
        <message>
            <source>All that is in them</source>
            <translation>Tout ce qu’ils contiennent</translation>
        </message>
        <message>
            <source>(%1)</source>
            <translation>(%1)</translation>
        </message>
        <message>
            <source>Which of them: %1</source>
            <translation>Lesquels : %1</translation>
        </message>
        <message>
            <source>nothing yet</source>
            <translation>rien encore</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln élément</numerusform>
                <numerusform>%Ln éléments</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders</source>
            <translation>
                <numerusform>%Ln dossier</numerusform>
                <numerusform>%Ln dossiers</numerusform>
            </translation>
        </message>
        <message>
            <source>.</source>
            <translation>.</translation>
        </message>
        <message>
            <source>; </source>
            <translation> ; </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided stay in hand.</source>
            <translation>
                <numerusform>%Ln indécis reste en main.</numerusform>
                <numerusform>%Ln indécis restent en main.</numerusform>
            </translation>
        </message>
        <message>
            <source>, </source>
            <translation>, </translation>
        </message>
        <message>
            <source>What is done: %1</source>
            <translation>Ce qui est fait : %1</translation>
        </message>
        <message>
            <source>Batch: %1</source>
            <translation>Lot : %1</translation>
        </message>
        <message>
            <source>From: %1</source>
            <translation>De : %1</translation>
        </message>
        <message>
            <source>Destination: %1</source>
            <translation>Destination : %1</translation>
        </message>
        <message>
            <source>Subfolders: %1</source>
            <translation>Sous-dossiers : %1</translation>
        </message>
        <message>
            <source>New names: %1</source>
            <translation>Nouveaux noms : %1</translation>
        </message>
        <message>
            <source>Where it goes: %1</source>
            <translation>Où cela va : %1</translation>
        </message>
        <message>
            <source>What is there under another name: %1</source>
            <translation>Ce qui est là sous un autre nom : %1</translation>
        </message>
        <message>
            <source>Where a name is taken: %1</source>
            <translation>Où un nom est pris : %1</translation>
        </message>
        <message>
            <source>Pack</source>
            <translation>Empaqueter</translation>
        </message>
        <message>
            <source>Move</source>
            <translation>Déplacer</translation>
        </message>
        <message>
            <source>Unpack</source>
            <translation>Dépaqueter</translation>
        </message>
        <message>
            <source>Copy</source>
            <translation>Copier</translation>
        </message>
        <message>
            <source> from </source>
            <translation> de </translation>
        </message>
        <message>
            <source> into </source>
            <translation> dans </translation>
        </message>
        <message>
            <source>an archive to be named</source>
            <translation>une archive à nommer</translation>
        </message>
        <message>
            <source>a folder to be chosen</source>
            <translation>un dossier à choisir</translation>
        </message>
        <message numerus="yes">
            <source>%1 (%Ln go)</source>
            <translation>
                <numerusform>%1 (%Ln part)</numerusform>
                <numerusform>%1 (%Ln partent)</numerusform>
            </translation>
        </message>
        <message>
            <source>What else is in the destination: %1</source>
            <translation>Ce qu’il y a d’autre à la destination : %1</translation>
        </message>
        <message>
            <source>even where attributes are lost</source>
            <translation>même où des attributs se perdent</translation>
        </message>
        <message>
            <source>What people or programs noted about a file, and who may read it, is gone with its source where the destination cannot keep it. Change to: such a file stays.</source>
            <translation>Ce que des personnes ou des programmes ont noté d’un fichier, et qui peut le lire, disparaît avec sa source où la destination ne peut le garder. Changer en : un tel fichier reste.</translation>
        </message>
        <message>
            <source>Attributes: %1</source>
            <translation>Attributs : %1</translation>
        </message>
        <message>
            <source>, as </source>
            <translation>, sous le nom </translation>
        </message>
        <message>
            <source>, with new names: </source>
            <translation>, avec de nouveaux noms : </translation>
        </message>
        <message>
            <source>Type another name for it</source>
            <translation>Taper un autre nom pour lui</translation>
        </message>
        <message>
            <source>; what is already there under another name </source>
            <translation> ; ce qui est déjà là sous un autre nom </translation>
        </message>
        <message>
            <source>then remove them</source>
            <translation>puis les retirer</translation>
        </message>
        <message>
            <source>and keep them</source>
            <translation>et les garder</translation>
        </message>
        <message>
            <source>Each file goes to the Safe once it is proved to be in the archive. Change to: they stay.</source>
            <translation>Chaque fichier va au coffre une fois prouvé qu’il est dans l’archive. Changer en : ils restent.</translation>
        </message>
        <message>
            <source>They stay where they are. Change to: each goes to the Safe once it is proved to be in the archive.</source>
            <translation>Ils restent où ils sont. Changer en : chacun va au coffre une fois prouvé qu’il est dans l’archive.</translation>
        </message>
        <message>
            <source>What becomes of them: %1</source>
            <translation>Ce qu’ils deviennent : %1</translation>
        </message>
        <message>
            <source>Remove</source>
            <translation>Retirer</translation>
        </message>
        <message>
            <source>Give</source>
            <translation>Donner</translation>
        </message>
        <message>
            <source> in </source>
            <translation> dans </translation>
        </message>
        <message>
            <source>folders with all that is in them</source>
            <translation>dossiers avec tout ce qu’ils contiennent</translation>
        </message>
        <message>
            <source>folders themselves</source>
            <translation>dossiers eux-mêmes</translation>
        </message>
        <message>
            <source>, new names: </source>
            <translation>, de nouveaux noms : </translation>
        </message>
        <message>
            <source> new names: </source>
            <translation> de nouveaux noms : </translation>
        </message>
        <message>
            <source>steps to be chosen</source>
            <translation>étapes à choisir</translation>
        </message>
        <message>
            <source>where a name is taken, </source>
            <translation>où un nom est pris, </translation>
        </message>
        <message>
            <source>%1, overwriting %2</source>
            <translation>%1, en écrasant %2</translation>
        </message>
        <message numerus="yes">
            <source>Move %Ln items</source>
            <translation>
                <numerusform>Déplacer %Ln élément</numerusform>
                <numerusform>Déplacer %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>Move %1 of %2</source>
            <translation>Déplacer %1 sur %2</translation>
        </message>
        <message>
            <source>Rename</source>
            <translation>Renommer</translation>
        </message>
        <message numerus="yes">
            <source>Rename %Ln items</source>
            <translation>
                <numerusform>Renommer %Ln élément</numerusform>
                <numerusform>Renommer %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>Rename %1 of %2</source>
            <translation>Renommer %1 sur %2</translation>
        </message>
        <message numerus="yes">
            <source>Remove %Ln items</source>
            <translation>
                <numerusform>Retirer %Ln élément</numerusform>
                <numerusform>Retirer %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>Remove %1 of %2</source>
            <translation>Retirer %1 sur %2</translation>
        </message>
        <message numerus="yes">
            <source>Pack %Ln items</source>
            <translation>
                <numerusform>Empaqueter %Ln élément</numerusform>
                <numerusform>Empaqueter %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>Pack %1 of %2</source>
            <translation>Empaqueter %1 sur %2</translation>
        </message>
        <message numerus="yes">
            <source>Unpack %Ln items</source>
            <translation>
                <numerusform>Dépaqueter %Ln élément</numerusform>
                <numerusform>Dépaqueter %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>Unpack %1 of %2</source>
            <translation>Dépaqueter %1 sur %2</translation>
        </message>
        <message numerus="yes">
            <source>Copy %Ln items</source>
            <translation>
                <numerusform>Copier %Ln élément</numerusform>
                <numerusform>Copier %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>Copy %1 of %2</source>
            <translation>Copier %1 sur %2</translation>
        </message>
        <message>
            <source>Pick files first</source>
            <translation>Prenez d’abord des fichiers</translation>
        </message>
        <message>
            <source>Pick files and say what their names are to be first</source>
            <translation>Prenez d’abord des fichiers et dites quels seront leurs noms</translation>
        </message>
        <message>
            <source>Pick files and choose a destination first</source>
            <translation>Prenez d’abord des fichiers et choisissez une destination</translation>
        </message>
        <message>
            <source>Not worked out yet</source>
            <translation>Pas encore calculé</translation>
        </message>
        <message>
            <source>Nothing would be done</source>
            <translation>Rien ne serait fait</translation>
        </message>
        <message>
            <source>What is undecided stays as it is</source>
            <translation>Ce qui est indécis reste tel quel</translation>
        </message>
        <message>
            <source>Copy, while counting</source>
            <translation>Copier, en comptant</translation>
        </message>
        <message>
            <source>Begins with what collides with nothing; the rest follows as it is counted</source>
            <translation>Commence par ce qui ne rencontre rien ; le reste suit à mesure qu’il est compté</translation>
        </message>
        <message>
            <source>Everything is counted first: %1</source>
            <translation>Tout est compté d’abord : %1</translation>
        </message>
        <message>
            <source>Ask me: nothing happens to either until I decide; same bytes are skipped</source>
            <translation>Me demander : rien n’arrive à l’un ni à l’autre avant ma décision ; les mêmes octets sont ignorés</translation>
        </message>
        <message>
            <source>Keep what is there: skip the incoming one</source>
            <translation>Garder ce qui est là : ignorer celui qui arrive</translation>
        </message>
        <message>
            <source>The newer one wins: older and same are skipped</source>
            <translation>Le plus récent gagne : les plus anciens et les mêmes sont ignorés</translation>
        </message>
        <message>
            <source>Overwrite what is there: the old ones go to the Safe</source>
            <translation>Écraser ce qui est là : les anciens vont au coffre</translation>
        </message>
        <message>
            <source>The larger one wins: smaller and same are skipped; of one size, ask me</source>
            <translation>Le plus grand gagne : les plus petits et les mêmes sont ignorés ; de même taille, me demander</translation>
        </message>
        <message>
            <source>Bring up to date: newer overwrites, older and same are skipped, anything else asks me</source>
            <translation>Mettre à jour : les plus récents écrasent, les plus anciens et les mêmes sont ignorés, pour le reste me demander</translation>
        </message>
        <message>
            <source>My own rule, by finding and size…</source>
            <translation>Ma propre règle, par constat et taille…</translation>
        </message>
        <message>
            <source>Keep both: the incoming one gets a new name</source>
            <translation>Garder les deux : celui qui arrive reçoit un nouveau nom</translation>
        </message>
        <message>
            <source>&amp;Copy to another folder</source>
            <translation>&amp;Copier dans un autre dossier</translation>
        </message>
        <message>
            <source>&amp;Move to another folder</source>
            <translation>&amp;Déplacer dans un autre dossier</translation>
        </message>
        <message>
            <source>&amp;New names where it is</source>
            <translation>&amp;Nouveaux noms sur place</translation>
        </message>
        <message>
            <source>&amp;Pack into an archive</source>
            <translation>&amp;Empaqueter dans une archive</translation>
        </message>
        <message>
            <source>&amp;Unpack them</source>
            <translation>Les dé&amp;paqueter</translation>
        </message>
        <message>
            <source>&amp;Remove, to the Safe or to the trash</source>
            <translation>&amp;Retirer, au coffre ou à la corbeille</translation>
        </message>
        <message>
            <source>Ne&amp;w names on the way…</source>
            <translation>Nou&amp;veaux noms en chemin…</translation>
        </message>
        <message>
            <source>To the Safe: out of sight; the undo brings it back, until the Safe is emptied</source>
            <translation>Au coffre : hors de vue ; l’annulation le ramène, tant que le coffre n’est pas vidé</translation>
        </message>
        <message>
            <source>To the trash of the desktop: the undo, or any file manager, brings it back, until the trash is emptied</source>
            <translation>À la corbeille du bureau : l’annulation ou tout gestionnaire de fichiers le ramène, tant qu’elle n’est pas vidée</translation>
        </message>
        <message>
            <source>Show the batch as a list</source>
            <translation>Montrer le lot en liste</translation>
        </message>
        <message>
            <source>Empty the batch</source>
            <translation>Vider le lot</translation>
        </message>
        <message>
            <source>Sort them into folders by what they tell…</source>
            <translation>Les trier dans des dossiers selon ce qu’ils disent…</translation>
        </message>
        <message>
            <source>Move also what would lose its notes or access list there</source>
            <translation>Déplacer aussi ce qui y perdrait ses notes ou sa liste d’accès</translation>
        </message>
        <message numerus="yes">
            <source>%1 (%Ln picked)</source>
            <translation>
                <numerusform>%1 (%Ln pris)</numerusform>
                <numerusform>%1 (%Ln pris)</numerusform>
            </translation>
        </message>
        <message>
            <source>Look into it</source>
            <translation>Regarder dedans</translation>
        </message>
        <message>
            <source>Take what is from here out of the batch</source>
            <translation>Retirer du lot ce qui vient d’ici</translation>
        </message>
        <message>
            <source>Nothing is picked yet</source>
            <translation>Rien n’est encore pris</translation>
        </message>
        <message>
            <source>Only what is in a folder: %1</source>
            <translation>Seulement ce que contient un dossier : %1</translation>
        </message>
        <message>
            <source>The folder itself: %1</source>
            <translation>Le dossier lui-même : %1</translation>
        </message>
        <message>
            <source>keeping subfolders</source>
            <translation>en gardant les sous-dossiers</translation>
        </message>
        <message>
            <source>keeping subfolders with files in them</source>
            <translation>en gardant les sous-dossiers qui ont des fichiers</translation>
        </message>
        <message>
            <source>without subfolders</source>
            <translation>sans sous-dossiers</translation>
        </message>
        <message>
            <source>All files in one folder, no subfolders</source>
            <translation>Tous les fichiers dans un dossier, sans sous-dossiers</translation>
        </message>
        <message>
            <source>In folders by what files tell: date, place, artist, author…</source>
            <translation>Dans des dossiers selon ce que disent les fichiers : date, lieu, artiste, auteur…</translation>
        </message>
        <message>
            <source>What else is in the destination</source>
            <translation>Ce qu’il y a d’autre à la destination</translation>
        </message>
        <message>
            <source>The folders themselves, not what is in them</source>
            <translation>Les dossiers eux-mêmes, pas leur contenu</translation>
        </message>
        <message>
            <source>The folders, with all that is in them</source>
            <translation>Les dossiers, avec tout ce qu’ils contiennent</translation>
        </message>
        <message>
            <source>Only what is in them; the folders stay</source>
            <translation>Seulement leur contenu ; les dossiers restent</translation>
        </message>
        <message>
            <source>The files in them, also in subfolders</source>
            <translation>Les fichiers qu’ils contiennent, aussi dans les sous-dossiers</translation>
        </message>
        <message>
            <source>The files directly in them</source>
            <translation>Les fichiers directement dedans</translation>
        </message>
        <message>
            <source>The files and folders in them</source>
            <translation>Les fichiers et dossiers dedans</translation>
        </message>
        <message>
            <source>Folders that things come from</source>
            <translation>Dossiers d’où viennent les choses</translation>
        </message>
        <message>
            <source>Are not kept: side by side</source>
            <translation>Ne sont pas gardés : côte à côte</translation>
        </message>
        <message>
            <source>Kept below %1: %2</source>
            <translation>Gardés sous %1 : %2</translation>
        </message>
        <message>
            <source>Stays</source>
            <translation>Reste</translation>
        </message>
        <message>
            <source>Nothing extra: what is not of the batch goes to the Safe</source>
            <translation>Rien de plus : ce qui n’est pas du lot va au coffre</translation>
        </message>
        <message>
            <source>Empty it first: everything there goes to the Safe</source>
            <translation>La vider d’abord : tout ce qui est là va au coffre</translation>
        </message>
        <message>
            <source>What is already there under another name</source>
            <translation>Ce qui est déjà là sous un autre nom</translation>
        </message>
        <message>
            <source>New names, where both stay</source>
            <translation>Nouveaux noms, où les deux restent</translation>
        </message>
        <message>
            <source>By number: report-2.pdf</source>
            <translation>Par numéro : rapport-2.pdf</translation>
        </message>
        <message>
            <source>By date of change: report 2031-05-02.pdf</source>
            <translation>Par date de modification : rapport 2031-05-02.pdf</translation>
        </message>
        <message>
            <source>By my own pattern: %1</source>
            <translation>Selon mon motif : %1</translation>
        </message>
        <message>
            <source>By my own pattern…</source>
            <translation>Selon mon motif…</translation>
        </message>
        <message>
            <source>Is not looked for</source>
            <translation>N’est pas cherché</translation>
        </message>
        <message>
            <source>Is skipped: files of equal size are read, and those with the same bytes stay out</source>
            <translation>Est ignoré : les fichiers de même taille sont lus, et ceux qui ont les mêmes octets restent dehors</translation>
        </message>
        <message>
            <source>Asks me</source>
            <translation>Me demande</translation>
        </message>
        <message>
            <source>Is marked, and comes all the same</source>
            <translation>Est marqué, et vient quand même</translation>
        </message>
    </context>
    <context>
        <name>JobBanner</name>
        <message>
            <source>Put back into the job</source>
            <translation>Remettre dans la tâche</translation>
        </message>
        <message>
            <source>Step %1 of “%2”</source>
            <translation>Étape %1 de « %2 »</translation>
        </message>
        <message>
            <source>%1 is on the bench. Change what you want, and put it back.</source>
            <translation>%1 est sur l’établi. Changez ce que vous voulez, et remettez-la.</translation>
        </message>
        <message>
            <source>%1: this is what it would do now. Nothing is done until you start it.</source>
            <translation>%1 : voici ce qu’elle ferait maintenant. Rien n’est fait avant que vous ne la lanciez.</translation>
        </message>
        <message>
            <source>Leave the job as it was</source>
            <translation>Laisser la tâche telle qu’elle était</translation>
        </message>
        <message>
            <source>Back to what was on the bench</source>
            <translation>Revenir à ce qui était sur l’établi</translation>
        </message>
    </context>
    <context>
        <name>JobRuns</name>
        <message>
            <source>it is running just now</source>
            <translation>elle est en cours</translation>
        </message>
        <message>
            <source>another program runs it just now</source>
            <translation>un autre programme l’exécute en ce moment</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
    </context>
    <context>
        <name>JobWords</name>
        <message>
            <source>year</source>
            <translation>année</translation>
        </message>
        <message>
            <source>month</source>
            <translation>mois</translation>
        </message>
        <message>
            <source>day</source>
            <translation>jour</translation>
        </message>
        <message>
            <source>week</source>
            <translation>semaine</translation>
        </message>
        <message>
            <source>date</source>
            <translation>date</translation>
        </message>
        <message>
            <source>hour</source>
            <translation>heure</translation>
        </message>
        <message>
            <source>minute</source>
            <translation>minute</translation>
        </message>
        <message>
            <source>time</source>
            <translation>heure et minute</translation>
        </message>
        <message>
            <source>today</source>
            <translation>aujourd’hui</translation>
        </message>
        <message>
            <source>yesterday</source>
            <translation>hier</translation>
        </message>
        <message>
            <source>this Monday</source>
            <translation>ce lundi</translation>
        </message>
        <message>
            <source>Monday last week</source>
            <translation>lundi de la semaine dernière</translation>
        </message>
        <message>
            <source>the first of this month</source>
            <translation>le premier de ce mois</translation>
        </message>
        <message>
            <source>the first of last month</source>
            <translation>le premier du mois dernier</translation>
        </message>
        <message>
            <source>the first of this year</source>
            <translation>le premier de cette année</translation>
        </message>
        <message>
            <source>changed yesterday</source>
            <translation>modifiés hier</translation>
        </message>
        <message>
            <source>changed last week</source>
            <translation>modifiés la semaine dernière</translation>
        </message>
        <message>
            <source>changed last month</source>
            <translation>modifiés le mois dernier</translation>
        </message>
        <message numerus="yes">
            <source>changed in the last %Ln days</source>
            <translation>
                <numerusform>modifiés depuis %Ln jour</numerusform>
                <numerusform>modifiés ces %Ln derniers jours</numerusform>
            </translation>
        </message>
        <message>
            <source>changed today</source>
            <translation>modifiés aujourd’hui</translation>
        </message>
        <message>
            <source>changed since %1</source>
            <translation>modifiés depuis %1</translation>
        </message>
        <message numerus="yes">
            <source>not changed for %Ln days</source>
            <translation>
                <numerusform>pas modifiés depuis %Ln jour</numerusform>
                <numerusform>pas modifiés depuis %Ln jours</numerusform>
            </translation>
        </message>
        <message>
            <source>changed before %1</source>
            <translation>modifiés avant %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln places</source>
            <translation>
                <numerusform>%Ln lieu</numerusform>
                <numerusform>%Ln lieux</numerusform>
            </translation>
        </message>
        <message>
            <source>folders over %1 in %2</source>
            <translation>dossiers de plus de %1 dans %2</translation>
        </message>
        <message>
            <source>empty folders in %1</source>
            <translation>dossiers vides dans %1</translation>
        </message>
        <message>
            <source>files in %1 (%2)</source>
            <translation>fichiers dans %1 (%2)</translation>
        </message>
        <message>
            <source>what is in %1</source>
            <translation>ce que contient %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln things</source>
            <translation>
                <numerusform>%Ln chose</numerusform>
                <numerusform>%Ln choses</numerusform>
            </translation>
        </message>
        <message>
            <source>“%1”</source>
            <translation>« %1 »</translation>
        </message>
        <message>
            <source>not %1</source>
            <translation>pas %1</translation>
        </message>
        <message>
            <source>over %1</source>
            <translation>plus de %1</translation>
        </message>
        <message>
            <source>empty</source>
            <translation>vide</translation>
        </message>
        <message>
            <source>under %1</source>
            <translation>moins de %1</translation>
        </message>
        <message>
            <source>fitting %1</source>
            <translation>conformes à %1</translation>
        </message>
        <message>
            <source>with even numbers</source>
            <translation>avec des nombres pairs</translation>
        </message>
        <message>
            <source>with odd numbers</source>
            <translation>avec des nombres impairs</translation>
        </message>
        <message>
            <source>with numbers %1</source>
            <translation>avec les nombres %1</translation>
        </message>
        <message>
            <source>not in folders %1</source>
            <translation>pas dans les dossiers %1</translation>
        </message>
        <message>
            <source>named in %1</source>
            <translation>nommés dans %1</translation>
        </message>
        <message>
            <source>Write a line into %1: %2</source>
            <translation>Écrire une ligne dans %1 : %2</translation>
        </message>
        <message>
            <source>Step %1</source>
            <translation>Étape %1</translation>
        </message>
        <message>
            <source>%1: %2 is not there just now.</source>
            <translation>%1 : %2 n’est pas là en ce moment.</translation>
        </message>
        <message numerus="yes">
            <source>%1: %Ln kinds of collision (%2) will stay as they are until you look.</source>
            <translation>
                <numerusform>%1 : %Ln sorte de collision (%2) restera telle quelle jusqu’à ce que vous regardiez.</numerusform>
                <numerusform>%1 : %Ln sortes de collision (%2) resteront telles quelles jusqu’à ce que vous regardiez.</numerusform>
            </translation>
        </message>
        <message>
            <source>done</source>
            <translation>terminée</translation>
        </message>
        <message>
            <source>some failed</source>
            <translation>certains ont échoué</translation>
        </message>
        <message>
            <source>refused</source>
            <translation>refusée</translation>
        </message>
        <message>
            <source>some undecided</source>
            <translation>certains indécis</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>arrêtée</translation>
        </message>
        <message>
            <source>by the calendar: %1</source>
            <translation>par le calendrier : %1</translation>
        </message>
        <message>
            <source>every day at %1</source>
            <translation>chaque jour à %1</translation>
        </message>
        <message>
            <source>every working day at %1</source>
            <translation>chaque jour ouvrable à %1</translation>
        </message>
        <message>
            <source>the first of each month at %1</source>
            <translation>le premier de chaque mois à %1</translation>
        </message>
        <message>
            <source>every %1 at %2</source>
            <translation>chaque %1 à %2</translation>
        </message>
        <message>
            <source>when something arrives where it takes from</source>
            <translation>quand quelque chose arrive où elle prend</translation>
        </message>
    </context>
    <context>
        <name>JobsModel</name>
        <message>
            <source>has not run yet</source>
            <translation>n’a pas encore tourné</translation>
        </message>
        <message>
            <source>last %1: %2</source>
            <translation>dernière %1 : %2</translation>
        </message>
        <message>
            <source>%1 (not switched on)</source>
            <translation>%1 (pas activée)</translation>
        </message>
        <message>
            <source>broken: %1</source>
            <translation>abîmée : %1</translation>
        </message>
        <message numerus="yes">
            <source>%1 (and %Ln more steps)</source>
            <translation>
                <numerusform>%1 (et %Ln autre étape)</numerusform>
                <numerusform>%1 (et %Ln autres étapes)</numerusform>
            </translation>
        </message>
        <message>
            <source>%1; %2; %3</source>
            <translation>%1 ; %2 ; %3</translation>
        </message>
        <message>
            <source>next %1</source>
            <translation>prochaine %1</translation>
        </message>
    </context>
    <context>
        <name>JobsPage</name>
        <message>
            <source>Not done: %1</source>
            <translation>Pas fait : %1</translation>
        </message>
        <message>
            <source>There is a job “%1” already; nothing was changed.</source>
            <translation>Il y a déjà une tâche « %1 » ; rien n’a été changé.</translation>
        </message>
        <message>
            <source>“%1” is forgotten; its receipts stay.</source>
            <translation>« %1 » est oubliée ; ses reçus restent.</translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>Écrit dans %1.</translation>
        </message>
        <message>
            <source>“%1”: set.</source>
            <translation>« %1 » : réglée.</translation>
        </message>
        <message>
            <source>“%1” is set, but not switched on: %2</source>
            <translation>« %1 » est réglée, mais pas activée : %2</translation>
        </message>
        <message>
            <source>“%1”: %2</source>
            <translation>« %1 » : %2</translation>
        </message>
        <message>
            <source>“%1” has ended: %2</source>
            <translation>« %1 » est finie : %2</translation>
        </message>
        <message>
            <source>Saved jobs</source>
            <translation>Tâches</translation>
        </message>
        <message>
            <source>No job is kept yet.

What is done again and again is put together on the bench as always; then Batch, Keep as a job…</source>
            <translation>Aucune tâche n’est encore gardée.

Ce que l’on fait sans cesse se compose sur l’établi comme toujours ; puis Lot, Garder comme tâche…</translation>
        </message>
        <message>
            <source>Read a job from a file…</source>
            <translation>Lire une tâche depuis un fichier…</translation>
        </message>
        <message>
            <source>Run now</source>
            <translation>Lancer</translation>
        </message>
        <message>
            <source>All its steps, one after the other; each leaves a receipt that can be undone</source>
            <translation>Toutes ses étapes, l’une après l’autre ; chacune laisse un reçu qui peut être annulé</translation>
        </message>
        <message>
            <source>When…</source>
            <translation>Quand…</translation>
        </message>
        <message>
            <source>Has it run by itself</source>
            <translation>La fait tourner d’elle-même</translation>
        </message>
        <message>
            <source>More</source>
            <translation>Plus</translation>
        </message>
        <message>
            <source>Forget it</source>
            <translation>L’oublier</translation>
        </message>
        <message>
            <source>Keep it</source>
            <translation>La garder</translation>
        </message>
        <message>
            <source>Add a step</source>
            <translation>Ajouter une étape</translation>
        </message>
        <message>
            <source>Settle what is undecided…</source>
            <translation>Régler ce qui est indécis…</translation>
        </message>
        <message>
            <source>Puts it onto the bench as that run had it; what you decide then is done under its receipt</source>
            <translation>Le met sur l’établi comme cette exécution l’avait ; ce que vous décidez alors se fait sous son reçu</translation>
        </message>
        <message>
            <source>Runs of this job, the latest first</source>
            <translation>Exécutions de cette tâche, la plus récente d’abord</translation>
        </message>
        <message>
            <source>When</source>
            <translation>Quand</translation>
        </message>
        <message>
            <source>Ended</source>
            <translation>Fin</translation>
        </message>
        <message>
            <source>What came of it</source>
            <translation>Ce qui en est venu</translation>
        </message>
        <message>
            <source>What it did</source>
            <translation>Ce qu’elle a fait</translation>
        </message>
        <message>
            <source>Runs when somebody runs it; %1.</source>
            <translation>Tourne quand quelqu’un la lance ; %1.</translation>
        </message>
        <message>
            <source>Runs %1; %2.</source>
            <translation>Tourne %1 ; %2.</translation>
        </message>
        <message>
            <source>Next: %1</source>
            <translation>Prochaine : %1</translation>
        </message>
        <message>
            <source>Its document cannot be read: %1</source>
            <translation>Son document n’est pas lisible : %1</translation>
        </message>
        <message>
            <source>Running</source>
            <translation>En cours</translation>
        </message>
        <message>
            <source>It has left no receipt yet.</source>
            <translation>Elle n’a encore laissé aucun reçu.</translation>
        </message>
        <message>
            <source>Its last runs, a line for each step. Return opens the receipt.</source>
            <translation>Ses dernières exécutions, une ligne par étape. Entrée ouvre le reçu.</translation>
        </message>
        <message>
            <source>, undone</source>
            <translation>, annulée</translation>
        </message>
        <message>
            <source>What is on the bench</source>
            <translation>Ce qui est sur l’établi</translation>
        </message>
        <message>
            <source>A line in a text file…</source>
            <translation>Une ligne dans un fichier texte…</translation>
        </message>
        <message>
            <source>Another name…</source>
            <translation>Un autre nom…</translation>
        </message>
        <message>
            <source>Write to a file…</source>
            <translation>Écrire dans un fichier…</translation>
        </message>
        <message>
            <source>Forget…</source>
            <translation>Oublier…</translation>
        </message>
        <message>
            <source>Another name</source>
            <translation>Un autre nom</translation>
        </message>
        <message>
            <source>Name of the job</source>
            <translation>Nom de la tâche</translation>
        </message>
        <message>
            <source>The name %1.</source>
            <translation>Le nom %1.</translation>
        </message>
        <message>
            <source>“%1” would be gone, and would not run by itself any more. What it did stays, with its receipts.</source>
            <translation>« %1 » disparaîtrait et ne tournerait plus d’elle-même. Ce qu’elle a fait reste, avec ses reçus.</translation>
        </message>
        <message>
            <source>“%1” would be gone. What it did stays, with its receipts.</source>
            <translation>« %1 » disparaîtrait. Ce qu’elle a fait reste, avec ses reçus.</translation>
        </message>
        <message>
            <source>Read a job from a file</source>
            <translation>Lire une tâche depuis un fichier</translation>
        </message>
        <message>
            <source>Jobs (*.json)</source>
            <translation>Tâches (*.json)</translation>
        </message>
        <message>
            <source>Write the job to a file</source>
            <translation>Écrire la tâche dans un fichier</translation>
        </message>
    </context>
    <context>
        <name>KeepJobDialog</name>
        <message>
            <source>Keep as a job</source>
            <translation>Garder comme tâche</translation>
        </message>
        <message>
            <source>&amp;Name of the job</source>
            <translation>&amp;Nom de la tâche</translation>
        </message>
        <message>
            <source>Name of the job</source>
            <translation>Nom de la tâche</translation>
        </message>
        <message>
            <source>Next time it takes</source>
            <translation>La prochaine fois elle prend</translation>
        </message>
        <message>
            <source>what is there then and fits</source>
            <translation>ce qui est là alors et convient</translation>
        </message>
        <message numerus="yes">
            <source>the same %Ln things, by their names</source>
            <translation>
                <numerusform>la même chose (%Ln), par son nom</numerusform>
                <numerusform>les mêmes %Ln choses, par leurs noms</numerusform>
            </translation>
        </message>
        <message>
            <source>Replace it</source>
            <translation>La remplacer</translation>
        </message>
        <message>
            <source>Keep</source>
            <translation>Garder</translation>
        </message>
        <message>
            <source>There is a job of this name.</source>
            <translation>Il y a une tâche de ce nom.</translation>
        </message>
        <message>
            <source>The name %1.</source>
            <translation>Le nom %1.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln kinds of collision will stay as they are until you look: nobody is asked while it is running.</source>
            <translation>
                <numerusform>%Ln sorte de collision restera telle quelle jusqu’à ce que vous regardiez : personne n’est interrogé pendant qu’elle tourne.</numerusform>
                <numerusform>%Ln sortes de collision resteront telles quelles jusqu’à ce que vous regardiez : personne n’est interrogé pendant qu’elle tourne.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>Keeping</name>
        <message numerus="yes">
            <source>%Ln versions have left the Safe, past the age that you have set.</source>
            <translation>
                <numerusform>%Ln version a quitté le coffre, au-delà de l’âge que vous avez fixé.</numerusform>
                <numerusform>%Ln versions ont quitté le coffre, au-delà de l’âge que vous avez fixé.</numerusform>
            </translation>
        </message>
        <message>
            <source>The Safe takes %1, more than the %2 that you have set: see what can leave it.</source>
            <translation>Le coffre occupe %1, plus que les %2 que vous avez fixés : voyez ce qui peut en sortir.</translation>
        </message>
    </context>
    <context>
        <name>Kept</name>
        <message>
            <source>Use</source>
            <translation>Utiliser</translation>
        </message>
        <message>
            <source>Forget</source>
            <translation>Oublier</translation>
        </message>
        <message>
            <source>Name:</source>
            <translation>Nom :</translation>
        </message>
    </context>
    <context>
        <name>KindsDialog</name>
        <message>
            <source>Kinds of files</source>
            <translation>Genres de fichiers</translation>
        </message>
        <message>
            <source>One kind a line: its name, a colon, the extensions. A new line makes a new kind; a kind without extensions is taken out. The command line knows the same kinds.</source>
            <translation>Un genre par ligne : son nom, deux-points, les extensions. Une nouvelle ligne fait un nouveau genre ; un genre sans extensions est retiré. La ligne de commande connaît les mêmes genres.</translation>
        </message>
        <message>
            <source>Kinds and their extensions</source>
            <translation>Genres et leurs extensions</translation>
        </message>
        <message>
            <source>As built in</source>
            <translation>Comme d’origine</translation>
        </message>
    </context>
    <context>
        <name>Lane</name>
        <message>
            <source>%1 of %2 items</source>
            <translation>%1 éléments sur %2</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln élément</numerusform>
                <numerusform>%Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 of %2</source>
            <translation>%1 sur %2</translation>
        </message>
        <message>
            <source>archive %1, %2 % of it</source>
            <translation>archive %1, %2 % de cela</translation>
        </message>
        <message>
            <source>%1, still counting</source>
            <translation>%1, comptage en cours</translation>
        </message>
        <message>
            <source>%1/s</source>
            <translation>%1/s</translation>
        </message>
        <message numerus="yes">
            <source>%Ln s left</source>
            <translation>
                <numerusform>encore %Ln s</numerusform>
                <numerusform>encore %Ln s</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>about %Ln min left</source>
            <translation>
                <numerusform>encore %Ln min environ</numerusform>
                <numerusform>encore %Ln min environ</numerusform>
            </translation>
        </message>
        <message>
            <source>about %1 h left</source>
            <translation>encore %1 h environ</translation>
        </message>
        <message>
            <source>waiting</source>
            <translation>attend</translation>
        </message>
        <message>
            <source>going on</source>
            <translation>en cours</translation>
        </message>
        <message>
            <source>paused</source>
            <translation>en pause</translation>
        </message>
        <message>
            <source>stopping</source>
            <translation>s’arrête</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>arrêtée</translation>
        </message>
        <message>
            <source>interrupted</source>
            <translation>interrompue</translation>
        </message>
        <message>
            <source>in another program</source>
            <translation>dans un autre programme</translation>
        </message>
        <message>
            <source>done</source>
            <translation>terminée</translation>
        </message>
        <message>
            <source>not possible</source>
            <translation>impossible</translation>
        </message>
        <message>
            <source>It may have been moved or removed meanwhile: put it back and try again, or leave it.</source>
            <translation>Il a peut-être été déplacé ou retiré entre-temps : remettez-le et réessayez, ou laissez-le.</translation>
        </message>
        <message>
            <source>Ask whoever owns it for the right to it, then try again.</source>
            <translation>Demandez-en le droit à son propriétaire, puis réessayez.</translation>
        </message>
        <message>
            <source>Some program is writing it: close it there, then try again.</source>
            <translation>Un programme est en train d’y écrire : fermez-le là, puis réessayez.</translation>
        </message>
        <message>
            <source>Make room on the disk, then try again.</source>
            <translation>Faites de la place sur le disque, puis réessayez.</translation>
        </message>
        <message>
            <source>Connect the disk or the network share again, then try again.</source>
            <translation>Reconnectez le disque ou le partage réseau, puis réessayez.</translation>
        </message>
        <message>
            <source>Look at the disk and its cable, and keep what can still be read; then try again.</source>
            <translation>Examinez le disque et son câble, et sauvez ce qui se lit encore ; puis réessayez.</translation>
        </message>
        <message>
            <source>Give it a name that the destination can hold, and copy it anew.</source>
            <translation>Donnez-lui un nom que la destination peut porter, et copiez-le de nouveau.</translation>
        </message>
    </context>
    <context>
        <name>LaneView</name>
        <message>
            <source>First</source>
            <translation>Le premier</translation>
        </message>
        <message>
            <source>Goes on now; the others on its drives wait until it is through</source>
            <translation>Continue maintenant ; les autres sur ses disques attendent qu’elle ait fini</translation>
        </message>
        <message>
            <source>Receipt</source>
            <translation>Reçu</translation>
        </message>
        <message>
            <source>Stop…</source>
            <translation>Arrêter…</translation>
        </message>
        <message>
            <source>More…</source>
            <translation>Plus…</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Fermer</translation>
        </message>
        <message>
            <source>Go on</source>
            <translation>Continuer</translation>
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
            <translation>maintenant %1</translation>
        </message>
        <message>
            <source>waits for the drive</source>
            <translation>attend le disque</translation>
        </message>
        <message>
            <source>looks at its drives</source>
            <translation>examine ses disques</translation>
        </message>
        <message>
            <source>paused by you</source>
            <translation>mise en pause par vous</translation>
        </message>
        <message>
            <source>paused when Tavlo was closed</source>
            <translation>en pause depuis la fermeture de Tavlo</translation>
        </message>
        <message>
            <source>waits: %1</source>
            <translation>attend : %1</translation>
        </message>
        <message>
            <source>Nothing is lost; going on finishes or takes back what was open</source>
            <translation>Rien n’est perdu ; continuer achève ou reprend ce qui était ouvert</translation>
        </message>
        <message>
            <source>what is begun is brought to an end</source>
            <translation>ce qui est commencé est mené à son terme</translation>
        </message>
        <message numerus="yes">
            <source>%Ln failed</source>
            <translation>
                <numerusform>%Ln échec</numerusform>
                <numerusform>%Ln échecs</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided</source>
            <translation>
                <numerusform>%Ln indécis</numerusform>
                <numerusform>%Ln indécis</numerusform>
            </translation>
        </message>
        <message>
            <source>at most %1</source>
            <translation>au plus %1</translation>
        </message>
        <message>
            <source>still counting</source>
            <translation>comptage en cours</translation>
        </message>
        <message>
            <source>Stop, and keep what is done</source>
            <translation>Arrêter, et garder ce qui est fait</translation>
        </message>
        <message>
            <source>Stop, and take back what is done</source>
            <translation>Arrêter, et reprendre ce qui est fait</translation>
        </message>
        <message>
            <source>Behind the next one</source>
            <translation>Derrière la suivante</translation>
        </message>
        <message>
            <source>Reads at most…</source>
            <translation>Lit au plus…</translation>
        </message>
        <message>
            <source>Its receipt so far</source>
            <translation>Son reçu jusqu’ici</translation>
        </message>
    </context>
    <context>
        <name>Limit</name>
        <message>
            <source>As fast as it can</source>
            <translation>Aussi vite que possible</translation>
        </message>
        <message>
            <source>Another: %1…</source>
            <translation>Autre : %1…</translation>
        </message>
        <message>
            <source>Another…</source>
            <translation>Autre…</translation>
        </message>
        <message>
            <source>Reading limit</source>
            <translation>Limite de lecture</translation>
        </message>
        <message>
            <source>MB a second, at most:</source>
            <translation>Mo par seconde, au plus :</translation>
        </message>
    </context>
    <context>
        <name>ListPanel</name>
        <message>
            <source>&lt;b&gt;Pick what a list names&lt;/b&gt;</source>
            <translation>&lt;b&gt;Prendre ce que nomme une liste&lt;/b&gt;</translation>
        </message>
        <message>
            <source>Read a file…</source>
            <translation>Lire un fichier…</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Fermer</translation>
        </message>
        <message>
            <source>The list</source>
            <translation>La liste</translation>
        </message>
        <message>
            <source>Paste names, numbers or ranges (120-135), from a mail, a sheet or a file.</source>
            <translation>Collez des noms, des nombres ou des plages (120-135), d’un courriel, d’un tableau ou d’un fichier.</translation>
        </message>
        <message>
            <source>What was found</source>
            <translation>Ce qui a été trouvé</translation>
        </message>
        <message>
            <source>Asked for</source>
            <translation>Demandé</translation>
        </message>
        <message>
            <source>State</source>
            <translation>État</translation>
        </message>
        <message>
            <source>Fits</source>
            <translation>Convient</translation>
        </message>
        <message>
            <source>Copy the report</source>
            <translation>Copier le compte rendu</translation>
        </message>
        <message>
            <source>Take all that fit</source>
            <translation>Prendre tout ce qui convient</translation>
        </message>
        <message>
            <source>Read a list</source>
            <translation>Lire une liste</translation>
        </message>
        <message>
            <source>not found</source>
            <translation>introuvable</translation>
        </message>
        <message>
            <source>found</source>
            <translation>trouvé</translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit</source>
            <translation>
                <numerusform>%Ln convient</numerusform>
                <numerusform>%Ln conviennent</numerusform>
            </translation>
        </message>
        <message>
            <source>Which of those that fit “%1”</source>
            <translation>Lesquels de ceux qui conviennent à « %1 »</translation>
        </message>
        <message>
            <source>choose…</source>
            <translation>choisir…</translation>
        </message>
        <message>
            <source>take all %1</source>
            <translation>prendre les %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln found</source>
            <translation>
                <numerusform>%Ln trouvé</numerusform>
                <numerusform>%Ln trouvés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln fit several, %1 still to choose</source>
            <translation>
                <numerusform>%Ln en vise plusieurs, %1 encore à choisir</numerusform>
                <numerusform>%Ln en visent plusieurs, %1 encore à choisir</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln not found</source>
            <translation>
                <numerusform>%Ln introuvable</numerusform>
                <numerusform>%Ln introuvables</numerusform>
            </translation>
        </message>
        <message>
            <source>Names are looked for among the files that are listed.</source>
            <translation>Les noms sont cherchés parmi les fichiers listés.</translation>
        </message>
        <message numerus="yes">
            <source>Add %Ln files to the batch</source>
            <translation>
                <numerusform>Ajouter %Ln fichier au lot</numerusform>
                <numerusform>Ajouter %Ln fichiers au lot</numerusform>
            </translation>
        </message>
        <message>
            <source>several fit</source>
            <translation>plusieurs conviennent</translation>
        </message>
    </context>
    <context>
        <name>Listing</name>
        <message>
            <source>folder</source>
            <translation>dossier</translation>
        </message>
        <message>
            <source>link</source>
            <translation>lien</translation>
        </message>
        <message>
            <source>special</source>
            <translation>spécial</translation>
        </message>
        <message>
            <source>file</source>
            <translation>fichier</translation>
        </message>
        <message>
            <source>%1 file</source>
            <translation>fichier %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders could not be read</source>
            <translation>
                <numerusform>%Ln dossier n’a pas pu être lu</numerusform>
                <numerusform>%Ln dossiers n’ont pas pu être lus</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>LocationBar</name>
        <message>
            <source>Click beside the folders to type a path (Ctrl+L)</source>
            <translation>Cliquez à côté des dossiers pour taper un chemin (Ctrl+L)</translation>
        </message>
        <message>
            <source>Folder shown</source>
            <translation>Dossier affiché</translation>
        </message>
        <message>
            <source>Open %1</source>
            <translation>Ouvrir %1</translation>
        </message>
    </context>
    <context>
        <name>LookPanel</name>
        <message>
            <source>A look at the file</source>
            <translation>Un regard sur le fichier</translation>
        </message>
        <message>
            <source>The file's text</source>
            <translation>Le texte du fichier</translation>
        </message>
        <message>
            <source>What the file tells</source>
            <translation>Ce que dit le fichier</translation>
        </message>
        <message>
            <source>Nothing is current in the list.</source>
            <translation>Rien n’est actuel dans la liste.</translation>
        </message>
        <message>
            <source>Kind</source>
            <translation>Genre</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>%1 (%2 bytes)</source>
            <translation>%1 (%2 octets)</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Modifié</translation>
        </message>
        <message>
            <source>A look is for files.</source>
            <translation>Le regard vaut pour des fichiers.</translation>
        </message>
        <message>
            <source>Permissions</source>
            <translation>Permissions</translation>
        </message>
        <message>
            <source>%1 on a map</source>
            <translation>%1 sur une carte</translation>
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
            <translation>O</translation>
        </message>
        <message>
            <source>E</source>
            <translation>E</translation>
        </message>
        <message>
            <source>There is no look at files of this kind.</source>
            <translation>Les fichiers de ce genre ne se regardent pas.</translation>
        </message>
        <message>
            <source>This file could not be looked at.</source>
            <translation>Ce fichier n’a pas pu être regardé.</translation>
        </message>
        <message>
            <source>Dimensions</source>
            <translation>Dimensions</translation>
        </message>
        <message>
            <source>Pages</source>
            <translation>Pages</translation>
        </message>
        <message>
            <source>Length</source>
            <translation>Durée</translation>
        </message>
        <message>
            <source>Sound</source>
            <translation>Son</translation>
        </message>
        <message>
            <source>Title</source>
            <translation>Titre</translation>
        </message>
        <message>
            <source>Caption</source>
            <translation>Légende</translation>
        </message>
        <message>
            <source>Keywords</source>
            <translation>Mots-clés</translation>
        </message>
        <message>
            <source>Encoding</source>
            <translation>Codage</translation>
        </message>
        <message>
            <source>Lines end with</source>
            <translation>Fins de ligne</translation>
        </message>
        <message>
            <source>Owner</source>
            <translation>Propriétaire</translation>
        </message>
        <message>
            <source>There is nothing to see of this file.</source>
            <translation>Il n’y a rien à voir de ce fichier.</translation>
        </message>
    </context>
    <context>
        <name>MainWindow</name>
        <message numerus="yes">
            <source>%Ln were left out: they lie on no disk of this machine.</source>
            <translation>
                <numerusform>%Ln a été laissé de côté : il n’est sur aucun disque de cette machine.</numerusform>
                <numerusform>%Ln ont été laissés de côté : ils ne sont sur aucun disque de cette machine.</numerusform>
            </translation>
        </message>
        <message>
            <source>New folder</source>
            <translation>Nouveau dossier</translation>
        </message>
        <message>
            <source>Name; a/b/c makes one in the other:</source>
            <translation>Nom ; a/b/c en crée l’un dans l’autre :</translation>
        </message>
        <message>
            <source>Rename</source>
            <translation>Renommer</translation>
        </message>
        <message>
            <source>New name of %1:</source>
            <translation>Nouveau nom de %1 :</translation>
        </message>
        <message>
            <source>%1 is not there.</source>
            <translation>%1 n’existe pas.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln are in hand in the other window now.</source>
            <translation>
                <numerusform>%Ln est maintenant en main dans l’autre fenêtre.</numerusform>
                <numerusform>%Ln sont maintenant en main dans l’autre fenêtre.</numerusform>
            </translation>
        </message>
        <message>
            <source>Take over</source>
            <translation>Reprendre</translation>
        </message>
        <message numerus="yes">
            <source>%Ln came from the other window.</source>
            <translation>
                <numerusform>%Ln est venu de l’autre fenêtre.</numerusform>
                <numerusform>%Ln sont venus de l’autre fenêtre.</numerusform>
            </translation>
        </message>
        <message>
            <source>There is no other window (Ctrl+N opens one)</source>
            <translation>Il n’y a pas d’autre fenêtre (Ctrl+N en ouvre une)</translation>
        </message>
        <message>
            <source>Runs are not through</source>
            <translation>Des exécutions ne sont pas finies</translation>
        </message>
        <message>
            <source>Pause them and close? What is done stays done; at the next start they are there, and go on when you say so.</source>
            <translation>Les mettre en pause et fermer ? Ce qui est fait reste fait ; au prochain démarrage elles sont là et continuent quand vous le dites.</translation>
        </message>
        <message>
            <source>There is nothing on the bench.</source>
            <translation>Il n’y a rien sur l’établi.</translation>
        </message>
        <message>
            <source>Tavlo is not completely installed. Missing: %1. Install it again.</source>
            <translation>Tavlo n’est pas complètement installé. Il manque : %1. Réinstallez-le.</translation>
        </message>
        <message>
            <source>Not done: %1</source>
            <translation>Pas fait : %1</translation>
        </message>
        <message>
            <source>Put something on the bench first: what the job is to take.</source>
            <translation>Mettez d’abord quelque chose sur l’établi : ce que la tâche doit prendre.</translation>
        </message>
        <message>
            <source>Say first where it is to go.</source>
            <translation>Dites d’abord où cela doit aller.</translation>
        </message>
        <message>
            <source>Kept; it is among the saved jobs.</source>
            <translation>Gardée ; elle est parmi les tâches.</translation>
        </message>
        <message>
            <source>&amp;File</source>
            <translation>&amp;Fichier</translation>
        </message>
        <message>
            <source>&amp;Start</source>
            <translation>&amp;Démarrer</translation>
        </message>
        <message>
            <source>Choose the &amp;destination…</source>
            <translation>Choisir la d&amp;estination…</translation>
        </message>
        <message>
            <source>Put into the folder &amp;shown</source>
            <translation>Dans le dossier &amp;affiché</translation>
        </message>
        <message>
            <source>&amp;Write the outcome to a file…</source>
            <translation>É&amp;crire le résultat dans un fichier…</translation>
        </message>
        <message>
            <source>&amp;Print the outcome…</source>
            <translation>&amp;Imprimer le résultat…</translation>
        </message>
        <message>
            <source>Copies begin while they are &amp;counted</source>
            <translation>Les copies commencent pendant le &amp;comptage</translation>
        </message>
        <message>
            <source>S&amp;ettings…</source>
            <translation>&amp;Réglages…</translation>
        </message>
        <message>
            <source>&amp;Quit</source>
            <translation>&amp;Quitter</translation>
        </message>
        <message>
            <source>&amp;Edit</source>
            <translation>&amp;Édition</translation>
        </message>
        <message>
            <source>Undo</source>
            <translation>Annuler</translation>
        </message>
        <message>
            <source>Do again</source>
            <translation>Refaire</translation>
        </message>
        <message>
            <source>Undo: %1</source>
            <translation>Annuler : %1</translation>
        </message>
        <message>
            <source>Do again: %1</source>
            <translation>Refaire : %1</translation>
        </message>
        <message>
            <source>C&amp;ut: take in hand to move</source>
            <translation>&amp;Couper : prendre en main pour déplacer</translation>
        </message>
        <message>
            <source>&amp;Copy: take in hand to copy</source>
            <translation>Co&amp;pier : prendre en main pour copier</translation>
        </message>
        <message>
            <source>&amp;Paste: put into the folder shown</source>
            <translation>C&amp;oller : mettre dans le dossier affiché</translation>
        </message>
        <message>
            <source>&amp;Select the others instead</source>
            <translation>&amp;Sélectionner les autres</translation>
        </message>
        <message>
            <source>&amp;Filter names here</source>
            <translation>&amp;Filtrer les noms ici</translation>
        </message>
        <message>
            <source>&amp;New folder…</source>
            <translation>&amp;Nouveau dossier…</translation>
        </message>
        <message>
            <source>&amp;Rename…</source>
            <translation>&amp;Renommer…</translation>
        </message>
        <message>
            <source>Move to the &amp;trash</source>
            <translation>Mettre à la cor&amp;beille</translation>
        </message>
        <message>
            <source>&amp;Help</source>
            <translation>&amp;Aide</translation>
        </message>
        <message>
            <source>&amp;Keys</source>
            <translation>&amp;Touches</translation>
        </message>
        <message>
            <source>&amp;Manual</source>
            <translation>&amp;Manuel</translation>
        </message>
        <message>
            <source>&amp;Find an action…</source>
            <translation>Trou&amp;ver une action…</translation>
        </message>
        <message>
            <source>&amp;About Tavlo</source>
            <translation>À &amp;propos de Tavlo</translation>
        </message>
        <message>
            <source>About Tavlo</source>
            <translation>À propos de Tavlo</translation>
        </message>
        <message>
            <source>Tavlo copies and moves batches of files, and never loses one on the way.

GPL-3.0-or-later</source>
            <translation>Tavlo copie et déplace des lots de fichiers, et n’en perd jamais un en chemin.

GPL-3.0-or-later</translation>
        </message>
        <message>
            <source>&amp;Batch</source>
            <translation>&amp;Lot</translation>
        </message>
        <message>
            <source>&amp;Pick or drop the selected rows</source>
            <translation>&amp;Prendre ou lâcher les lignes sélectionnées</translation>
        </message>
        <message>
            <source>Pick all files &amp;shown</source>
            <translation>Prendre tous les fichiers &amp;affichés</translation>
        </message>
        <message>
            <source>Pick by &amp;typing</source>
            <translation>Prendre en &amp;tapant</translation>
        </message>
        <message>
            <source>Pick what a &amp;list names…</source>
            <translation>Prendre ce que nomme une &amp;liste…</translation>
        </message>
        <message>
            <source>&amp;Empty the batch</source>
            <translation>&amp;Vider le lot</translation>
        </message>
        <message>
            <source>New names &amp;where it is</source>
            <translation>Nou&amp;veaux noms sur place</translation>
        </message>
        <message>
            <source>&amp;Sort into folders by what files tell</source>
            <translation>&amp;Trier dans des dossiers selon ce que disent les fichiers</translation>
        </message>
        <message>
            <source>&amp;Pack into an archive</source>
            <translation>&amp;Empaqueter dans une archive</translation>
        </message>
        <message>
            <source>&amp;Unpack archives</source>
            <translation>&amp;Dépaqueter des archives</translation>
        </message>
        <message>
            <source>Pick archives first, and nothing else: what lies in them is unpacked.</source>
            <translation>Prenez d’abord des archives, et rien d’autre : leur contenu est dépaqueté.</translation>
        </message>
        <message>
            <source>&amp;Remove</source>
            <translation>&amp;Retirer</translation>
        </message>
        <message>
            <source>&amp;Hand over to another window</source>
            <translation>Re&amp;mettre à une autre fenêtre</translation>
        </message>
        <message>
            <source>&amp;Keep as a job…</source>
            <translation>&amp;Garder comme tâche…</translation>
        </message>
        <message>
            <source>&amp;Find in the destination as it will be</source>
            <translation>C&amp;hercher dans la destination telle qu’elle sera</translation>
        </message>
        <message>
            <source>&amp;Next undecided</source>
            <translation>Indécis &amp;suivant</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Ignorer</translation>
        </message>
        <message>
            <source>Overwrite, the old one to the Safe</source>
            <translation>Écraser, l’ancien au coffre</translation>
        </message>
        <message>
            <source>Rename the incoming one</source>
            <translation>Renommer celui qui arrive</translation>
        </message>
        <message>
            <source>Leave undecided</source>
            <translation>Laisser indécis</translation>
        </message>
        <message>
            <source>&amp;View</source>
            <translation>&amp;Affichage</translation>
        </message>
        <message>
            <source>&amp;Bench</source>
            <translation>&amp;Établi</translation>
        </message>
        <message>
            <source>&amp;Collisions</source>
            <translation>&amp;Collisions</translation>
        </message>
        <message>
            <source>R&amp;uns</source>
            <translation>E&amp;xécutions</translation>
        </message>
        <message>
            <source>&amp;Receipts</source>
            <translation>&amp;Reçus</translation>
        </message>
        <message>
            <source>&amp;Safe</source>
            <translation>Co&amp;ffre</translation>
        </message>
        <message>
            <source>Saved &amp;jobs</source>
            <translation>&amp;Tâches</translation>
        </message>
        <message>
            <source>Si&amp;zes: what stands out below the folder on view</source>
            <translation>Tai&amp;lles : ce qui ressort sous le dossier affiché</translation>
        </message>
        <message>
            <source>Folder bac&amp;k</source>
            <translation>Dossier p&amp;récédent</translation>
        </message>
        <message>
            <source>Folder &amp;forward</source>
            <translation>Dossier s&amp;uivant</translation>
        </message>
        <message>
            <source>Folder &amp;above</source>
            <translation>Dossier au-&amp;dessus</translation>
        </message>
        <message>
            <source>Look &amp;again</source>
            <translation>Regarder de &amp;nouveau</translation>
        </message>
        <message>
            <source>&amp;Type a folder's path</source>
            <translation>Taper le &amp;chemin d’un dossier</translation>
        </message>
        <message>
            <source>Another &amp;window</source>
            <translation>Autre &amp;fenêtre</translation>
        </message>
        <message>
            <source>L&amp;ook at the current file</source>
            <translation>Un re&amp;gard sur le fichier actuel</translation>
        </message>
        <message>
            <source>The folder as small &amp;pictures</source>
            <translation>Le dossier en petites i&amp;mages</translation>
        </message>
        <message>
            <source>&amp;Hidden files</source>
            <translation>Fic&amp;hiers cachés</translation>
        </message>
        <message>
            <source>&amp;Looks</source>
            <translation>&amp;Apparence</translation>
        </message>
        <message>
            <source>As the &amp;desktop</source>
            <translation>Comme le &amp;bureau</translation>
        </message>
        <message>
            <source>&amp;Light</source>
            <translation>&amp;Clair</translation>
        </message>
        <message>
            <source>D&amp;ark</source>
            <translation>&amp;Sombre</translation>
        </message>
        <message numerus="yes">
            <source>%Ln of the batch are no longer there, and were left out.</source>
            <translation>
                <numerusform>%Ln du lot n’est plus là et a été laissé de côté.</numerusform>
                <numerusform>%Ln du lot ne sont plus là et ont été laissés de côté.</numerusform>
            </translation>
        </message>
        <message>
            <source>What is in hand is not kept when the window closes: nothing can be written in %1.</source>
            <translation>Ce qui est en main n’est pas gardé à la fermeture : rien ne peut être écrit dans %1.</translation>
        </message>
        <message>
            <source>%1 – Tavlo</source>
            <translation>%1 – Tavlo</translation>
        </message>
        <message>
            <source>Nothing came in with this run.</source>
            <translation>Rien n’est arrivé avec cette exécution.</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Prendre</translation>
        </message>
        <message numerus="yes">
            <source>%Ln picked; they are in hand on the bench.</source>
            <translation>
                <numerusform>%Ln pris ; il est en main sur l’établi.</numerusform>
                <numerusform>%Ln pris ; ils sont en main sur l’établi.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>ManualWindow</name>
        <message>
            <source>Manual</source>
            <translation>Manuel</translation>
        </message>
        <message>
            <source>Search all pages</source>
            <translation>Chercher dans toutes les pages</translation>
        </message>
        <message>
            <source>Pages</source>
            <translation>Pages</translation>
        </message>
        <message>
            <source>Page</source>
            <translation>Page</translation>
        </message>
    </context>
    <context>
        <name>NamePatternDialog</name>
        <message>
            <source>A pattern for new names</source>
            <translation>Un motif pour les nouveaux noms</translation>
        </message>
        <message>
            <source>{name} and {ext} of the file, {date} and {time} of its change, {folder} it comes from, {n} counted up from 2</source>
            <translation>{name} et {ext} du fichier, {date} et {time} de sa modification, {folder} dont il vient, {n} compté à partir de 2</translation>
        </message>
        <message>
            <source>Pattern</source>
            <translation>Motif</translation>
        </message>
        <message>
            <source>Use it</source>
            <translation>L’utiliser</translation>
        </message>
        <message>
            <source>Harbour desk</source>
            <translation>Bureau du port</translation>
        </message>
        <message>
            <source>report.pdf becomes %1</source>
            <translation>rapport.pdf devient %1</translation>
        </message>
    </context>
    <context>
        <name>NameStepRow</name>
        <message>
            <source>In &amp;front</source>
            <translation>&amp;Devant</translation>
        </message>
        <message>
            <source>&amp;Behind</source>
            <translation>De&amp;rrière</translation>
        </message>
        <message>
            <source>&amp;Instead of</source>
            <translation>À la &amp;place de</translation>
        </message>
        <message>
            <source>Instead of &amp;what fits</source>
            <translation>À la place de ce qui &amp;convient</translation>
        </message>
        <message>
            <source>&amp;Letters</source>
            <translation>&amp;Lettres</translation>
        </message>
        <message>
            <source>&amp;Numbers</source>
            <translation>&amp;Nombres</translation>
        </message>
        <message>
            <source>&amp;Extension</source>
            <translation>&amp;Extension</translation>
        </message>
        <message>
            <source>Named &amp;anew</source>
            <translation>Nommé à ne&amp;uf</translation>
        </message>
        <message>
            <source>By a &amp;table</source>
            <translation>Selon un &amp;tableau</translation>
        </message>
        <message>
            <source>Take this step out</source>
            <translation>Retirer cette étape</translation>
        </message>
        <message>
            <source>What the step does</source>
            <translation>Ce que fait l’étape</translation>
        </message>
        <message>
            <source>text</source>
            <translation>texte</translation>
        </message>
        <message>
            <source>old text</source>
            <translation>ancien texte</translation>
        </message>
        <message>
            <source>put</source>
            <translation>mettre</translation>
        </message>
        <message>
            <source>new text, or nothing</source>
            <translation>nouveau texte, ou rien</translation>
        </message>
        <message>
            <source>expression (RE2)</source>
            <translation>expression (RE2)</translation>
        </message>
        <message>
            <source>new text; \1 a group</source>
            <translation>nouveau texte ; \1 un groupe</translation>
        </message>
        <message>
            <source>Letters</source>
            <translation>Lettres</translation>
        </message>
        <message>
            <source>all lower case</source>
            <translation>tout en minuscules</translation>
        </message>
        <message>
            <source>all capitals</source>
            <translation>tout en capitales</translation>
        </message>
        <message>
            <source>a capital for each word</source>
            <translation>une capitale à chaque mot</translation>
        </message>
        <message>
            <source>Which numbers</source>
            <translation>Quels nombres</translation>
        </message>
        <message>
            <source>all of them</source>
            <translation>tous</translation>
        </message>
        <message>
            <source>the first</source>
            <translation>le premier</translation>
        </message>
        <message>
            <source>the last</source>
            <translation>le dernier</translation>
        </message>
        <message>
            <source>grow by</source>
            <translation>augmentent de</translation>
        </message>
        <message>
            <source>By how much numbers grow</source>
            <translation>De combien les nombres augmentent</translation>
        </message>
        <message>
            <source>Extension</source>
            <translation>Extension</translation>
        </message>
        <message>
            <source>in lower case</source>
            <translation>en minuscules</translation>
        </message>
        <message>
            <source>in capitals</source>
            <translation>en capitales</translation>
        </message>
        <message>
            <source>none</source>
            <translation>aucune</translation>
        </message>
        <message>
            <source>another:</source>
            <translation>une autre :</translation>
        </message>
        <message>
            <source>without its dot</source>
            <translation>sans son point</translation>
        </message>
        <message>
            <source>pattern</source>
            <translation>motif</translation>
        </message>
        <message>
            <source>Text with fields in braces: {name} {ext} {n:3} {number} {changed:%Y-%m-%d} {folder} {size} {kind} {initial}.
{a|b} takes the first that is known, {a|=text} text where none is; upper, lower and first shape it.</source>
            <translation>Texte avec des champs entre accolades : {name} {ext} {n:3} {number} {changed:%Y-%m-%d} {folder} {size} {kind} {initial}.
{a|b} prend le premier qui est connu, {a|=text} un texte où aucun ne l’est ; upper, lower et first le mettent en forme.</translation>
        </message>
        <message>
            <source>from</source>
            <translation>à partir de</translation>
        </message>
        <message>
            <source>Counting from</source>
            <translation>Compter à partir de</translation>
        </message>
        <message>
            <source>by</source>
            <translation>par</translation>
        </message>
        <message>
            <source>Counting by</source>
            <translation>Compter par</translation>
        </message>
        <message>
            <source>a file: old name, tab, new name</source>
            <translation>un fichier : ancien nom, tabulation, nouveau nom</translation>
        </message>
        <message>
            <source>Choose…</source>
            <translation>Choisir…</translation>
        </message>
        <message>
            <source>A table of names: old name, tab, new name, a line each</source>
            <translation>Un tableau de noms : ancien nom, tabulation, nouveau nom, une ligne chacun</translation>
        </message>
        <message>
            <source>changes nothing here</source>
            <translation>ne change rien ici</translation>
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
            <translation>Nouveaux noms, étape par étape</translation>
        </message>
        <message>
            <source>Add a step</source>
            <translation>Ajouter une étape</translation>
        </message>
        <message>
            <source>Table of names</source>
            <translation>Tableau de noms</translation>
        </message>
        <message>
            <source>Paste one: old name, tab, new name, a line each</source>
            <translation>En coller un : ancien nom, tabulation, nouveau nom, une ligne chacun</translation>
        </message>
        <message>
            <source>Write the names of now to one…</source>
            <translation>Y écrire les noms actuels…</translation>
        </message>
        <message>
            <source>Kept steps</source>
            <translation>Étapes gardées</translation>
        </message>
        <message>
            <source>extensions too</source>
            <translation>les extensions aussi</translation>
        </message>
        <message>
            <source>Steps see the whole name, not only what is before the extension</source>
            <translation>Les étapes voient le nom entier, pas seulement ce qui précède l’extension</translation>
        </message>
        <message numerus="yes">
            <source>%1 (and %Ln more)</source>
            <translation>
                <numerusform>%1 (et %Ln autre)</numerusform>
                <numerusform>%1 (et %Ln autres)</numerusform>
            </translation>
        </message>
        <message>
            <source>stays</source>
            <translation>reste</translation>
        </message>
        <message>
            <source>Keep these under a name…</source>
            <translation>Garder ceux-ci sous un nom…</translation>
        </message>
        <message>
            <source>Keep these steps</source>
            <translation>Garder ces étapes</translation>
        </message>
        <message>
            <source>Kept as %1.</source>
            <translation>Gardé sous %1.</translation>
        </message>
        <message>
            <source>The clipboard holds no table: lines of old name, tab, new name.</source>
            <translation>Le presse-papiers ne contient pas de tableau : des lignes d’ancien nom, tabulation, nouveau nom.</translation>
        </message>
        <message>
            <source>Write the names to a table</source>
            <translation>Écrire les noms dans un tableau</translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>Écrit dans %1.</translation>
        </message>
        <message>
            <source>Steps of the new names</source>
            <translation>Étapes des nouveaux noms</translation>
        </message>
    </context>
    <context>
        <name>Opening</name>
        <message>
            <source>Open in its own program</source>
            <translation>Ouvrir dans son programme</translation>
        </message>
        <message>
            <source>Open the folder it lies in</source>
            <translation>Ouvrir le dossier où il se trouve</translation>
        </message>
        <message>
            <source>Copy its path as text</source>
            <translation>Copier son chemin en texte</translation>
        </message>
    </context>
    <context>
        <name>OutcomeModel</name>
        <message>
            <source>its name now: %1</source>
            <translation>son nom actuel : %1</translation>
        </message>
        <message>
            <source>%1, there already</source>
            <translation>%1, déjà là</translation>
        </message>
        <message>
            <source>%1/</source>
            <translation>%1/</translation>
        </message>
        <message>
            <source>from %1
to %2</source>
            <translation>de %1
vers %2</translation>
        </message>
        <message>
            <source>%1, %2 %3</source>
            <translation>%1, %2 %3</translation>
        </message>
        <message>
            <source>%1 there now, %2, %3</source>
            <translation>%1 là maintenant, %2, %3</translation>
        </message>
        <message>
            <source>also from the batch</source>
            <translation>aussi du lot</translation>
        </message>
        <message>
            <source>there now, a folder</source>
            <translation>là maintenant, un dossier</translation>
        </message>
        <message>
            <source>there now, a link</source>
            <translation>là maintenant, un lien</translation>
        </message>
        <message>
            <source>there now</source>
            <translation>là maintenant</translation>
        </message>
        <message>
            <source>there now, a file</source>
            <translation>là maintenant, un fichier</translation>
        </message>
        <message>
            <source>there now, a special file</source>
            <translation>là maintenant, un fichier spécial</translation>
        </message>
        <message>
            <source>could be %1</source>
            <translation>pourrait être %1</translation>
        </message>
        <message>
            <source>old one to the Safe</source>
            <translation>l’ancien au coffre</translation>
        </message>
        <message>
            <source>%1 is taken</source>
            <translation>%1 est pris</translation>
        </message>
        <message>
            <source>as %1</source>
            <translation>sous le nom %1</translation>
        </message>
        <message>
            <source>with the folder there</source>
            <translation>avec le dossier qui est là</translation>
        </message>
        <message>
            <source>with its folder</source>
            <translation>avec son dossier</translation>
        </message>
        <message>
            <source>skip</source>
            <translation>ignorer</translation>
        </message>
        <message>
            <source>skip; stays as it is</source>
            <translation>ignorer ; reste tel quel</translation>
        </message>
        <message>
            <source>one is a folder</source>
            <translation>l’un est un dossier</translation>
        </message>
        <message>
            <source>this one from %1</source>
            <translation>celui-ci de %1</translation>
        </message>
        <message>
            <source>typed by hand</source>
            <translation>tapé à la main</translation>
        </message>
        <message numerus="yes">
            <source>%Ln files arrive</source>
            <translation>
                <numerusform>%Ln fichier arrive</numerusform>
                <numerusform>%Ln fichiers arrivent</numerusform>
            </translation>
        </message>
        <message>
            <source>an empty folder</source>
            <translation>un dossier vide</translation>
        </message>
        <message>
            <source>the copy to the Safe</source>
            <translation>la copie au coffre</translation>
        </message>
        <message>
            <source>if it is empty by then</source>
            <translation>s’il est vide d’ici là</translation>
        </message>
        <message numerus="yes">
            <source>with %Ln files, %1</source>
            <translation>
                <numerusform>avec %Ln fichier, %1</numerusform>
                <numerusform>avec %Ln fichiers, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>undo brings it back</source>
            <translation>l’annulation le ramène</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Changed</source>
            <translation>Modifié</translation>
        </message>
        <message>
            <source>What happens</source>
            <translation>Ce qui arrive</translation>
        </message>
        <message>
            <source>%1, undecided: %2 %3</source>
            <translation>%1, indécis : %2 %3</translation>
        </message>
    </context>
    <context>
        <name>OutcomeSide</name>
        <message>
            <source>Type another name…	F2</source>
            <translation>Taper un autre nom…	F2</translation>
        </message>
        <message>
            <source>Its name by the steps again</source>
            <translation>De nouveau son nom selon les étapes</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Ignorer</translation>
        </message>
        <message>
            <source>Overwrite, the old one to the Safe</source>
            <translation>Écraser, l’ancien au coffre</translation>
        </message>
        <message>
            <source>Rename the incoming one</source>
            <translation>Renommer celui qui arrive</translation>
        </message>
        <message>
            <source>Undecided</source>
            <translation>Indécis</translation>
        </message>
        <message numerus="yes">
            <source>Say a fact of %Ln items, for this batch</source>
            <translation>
                <numerusform>Dire une indication de %Ln élément, pour ce lot</numerusform>
                <numerusform>Dire une indication de %Ln éléments, pour ce lot</numerusform>
            </translation>
        </message>
        <message>
            <source>%1…</source>
            <translation>%1…</translation>
        </message>
        <message>
            <source>%1 as the file tells it</source>
            <translation>%1 comme le fichier le dit</translation>
        </message>
        <message>
            <source>%1, as 2031-05-02 or 2031:</source>
            <translation>%1, comme 2031-05-02 ou 2031 :</translation>
        </message>
        <message>
            <source>%1:</source>
            <translation>%1 :</translation>
        </message>
        <message>
            <source>Say a fact</source>
            <translation>Dire une indication</translation>
        </message>
        <message>
            <source>Destination</source>
            <translation>Destination</translation>
        </message>
        <message>
            <source>Item by item</source>
            <translation>Un par un</translation>
        </message>
        <message>
            <source>In hand</source>
            <translation>En main</translation>
        </message>
        <message>
            <source>What was picked, and where it comes from</source>
            <translation>Ce qui est pris, et d’où cela vient</translation>
        </message>
        <message>
            <source>Find a name in the destination as it will be</source>
            <translation>Chercher un nom dans la destination telle qu’elle sera</translation>
        </message>
        <message>
            <source>Find a name</source>
            <translation>Chercher un nom</translation>
        </message>
        <message>
            <source>The destination as it will be</source>
            <translation>La destination telle qu’elle sera</translation>
        </message>
        <message>
            <source>Next</source>
            <translation>Suivant</translation>
        </message>
        <message>
            <source>To the next one that is undecided (N). On it: 1 skip, 2 overwrite, 3 rename, 0 undecided</source>
            <translation>Vers le prochain indécis (N). Dessus : 1 ignorer, 2 écraser, 3 renommer, 0 indécis</translation>
        </message>
        <message>
            <source>What the destination cannot hold under its name arrives under the nearest one that it can; each is listed as renamed</source>
            <translation>Ce que la destination ne peut porter sous son nom arrive sous le plus proche possible ; chacun est listé comme renommé</translation>
        </message>
        <message>
            <source>There is nothing to write yet: pick files and choose a destination.</source>
            <translation>Il n’y a encore rien à écrire : prenez des fichiers et choisissez une destination.</translation>
        </message>
        <message>
            <source>Write the destination as it will be</source>
            <translation>Écrire la destination telle qu’elle sera</translation>
        </message>
        <message>
            <source>Tree (*.txt);;Table (*.csv);;Plan document (*.json)</source>
            <translation>Arbre (*.txt);;Tableau (*.csv);;Document du plan (*.json)</translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>Écrit dans %1.</translation>
        </message>
        <message>
            <source>There is nothing to print yet: pick files and choose a destination.</source>
            <translation>Il n’y a encore rien à imprimer : prenez des fichiers et choisissez une destination.</translation>
        </message>
        <message>
            <source>Drop onto the destination</source>
            <translation>Déposer sur la destination</translation>
        </message>
        <message>
            <source>Pick what is to go: a click at the edge of a row on the left, or Space.</source>
            <translation>Prenez ce qui doit partir : un clic au bord d’une ligne à gauche, ou Espace.</translation>
        </message>
        <message>
            <source>Say where it goes: the amber words in the sentence, or Put here while that folder is on view.</source>
            <translation>Dites où cela va : les mots ambrés de la phrase, ou Ici pendant que ce dossier est affiché.</translation>
        </message>
        <message>
            <source>Look here at what will happen, before anything does; decide what is asked, and start.</source>
            <translation>Regardez ici ce qui arrivera, avant que rien n’arrive ; décidez ce qui est demandé, et démarrez.</translation>
        </message>
        <message>
            <source>Only these of the batch</source>
            <translation>Seulement ceux-ci du lot</translation>
        </message>
        <message>
            <source>The batch, item by item</source>
            <translation>Le lot, un par un</translation>
        </message>
        <message>
            <source>%1 as it will be</source>
            <translation>%1 tel qu’il sera</translation>
        </message>
        <message>
            <source>The folders as they will be</source>
            <translation>Les dossiers tels qu’ils seront</translation>
        </message>
        <message>
            <source>Folders</source>
            <translation>Dossiers</translation>
        </message>
        <message numerus="yes">
            <source>%Ln in hand</source>
            <translation>
                <numerusform>%Ln en main</numerusform>
                <numerusform>%Ln en main</numerusform>
            </translation>
        </message>
        <message>
            <source>No destination yet</source>
            <translation>Pas encore de destination</translation>
        </message>
        <message>
            <source>Leave out what needs another name</source>
            <translation>Laisser ce qui demande un autre nom</translation>
        </message>
        <message numerus="yes">
            <source>Use other names for %Ln</source>
            <translation>
                <numerusform>Utiliser un autre nom pour %Ln</numerusform>
                <numerusform>Utiliser d’autres noms pour %Ln</numerusform>
            </translation>
        </message>
        <message>
            <source>Here you will see the folders as they will be, before anything happens.</source>
            <translation>Vous verrez ici les dossiers tels qu’ils seront, avant que rien n’arrive.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln get new names</source>
            <translation>
                <numerusform>%Ln reçoit un nouveau nom</numerusform>
                <numerusform>%Ln reçoivent de nouveaux noms</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln arrive</source>
            <translation>
                <numerusform>%Ln arrive</numerusform>
                <numerusform>%Ln arrivent</numerusform>
            </translation>
        </message>
        <message>
            <source>nothing arrives</source>
            <translation>rien n’arrive</translation>
        </message>
        <message numerus="yes">
            <source>%Ln replace</source>
            <translation>
                <numerusform>%Ln remplace</numerusform>
                <numerusform>%Ln remplacent</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln stay as they are</source>
            <translation>
                <numerusform>%Ln reste tel quel</numerusform>
                <numerusform>%Ln restent tels quels</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln leave</source>
            <translation>
                <numerusform>%Ln part</numerusform>
                <numerusform>%Ln partent</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln files stay beside them, %1 of them newer than a week</source>
            <translation>
                <numerusform>%Ln fichier reste à côté, dont %1 de moins d’une semaine</numerusform>
                <numerusform>%Ln fichiers restent à côté, dont %1 de moins d’une semaine</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln files stay beside them</source>
            <translation>
                <numerusform>%Ln fichier reste à côté</numerusform>
                <numerusform>%Ln fichiers restent à côté</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln cannot be done</source>
            <translation>
                <numerusform>%Ln impossible</numerusform>
                <numerusform>%Ln impossibles</numerusform>
            </translation>
        </message>
        <message>
            <source>Nothing is on its way here.</source>
            <translation>Rien n’est en route vers ici.</translation>
        </message>
        <message>
            <source>No name in the destination as it will be fits “%1”.</source>
            <translation>Aucun nom de la destination telle qu’elle sera ne convient à « %1 ».</translation>
        </message>
        <message>
            <source>The batch is empty.</source>
            <translation>Le lot est vide.</translation>
        </message>
        <message>
            <source>Pick what it is about on the left.</source>
            <translation>Prenez à gauche ce dont il s’agit.</translation>
        </message>
        <message>
            <source>This folder will be empty.</source>
            <translation>Ce dossier sera vide.</translation>
        </message>
        <message>
            <source>This folder is empty.</source>
            <translation>Ce dossier est vide.</translation>
        </message>
        <message>
            <source>This folder is not there yet; the run will make it.</source>
            <translation>Ce dossier n’existe pas encore ; l’exécution le créera.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln to settle</source>
            <translation>
                <numerusform>%Ln à régler</numerusform>
                <numerusform>%Ln à régler</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>OwnRuleDialog</name>
        <message>
            <source>My own rule, where a name is taken</source>
            <translation>Ma propre règle, où un nom est pris</translation>
        </message>
        <message>
            <source>incoming smaller</source>
            <translation>arrivant plus petit</translation>
        </message>
        <message>
            <source>same size</source>
            <translation>même taille</translation>
        </message>
        <message>
            <source>incoming larger</source>
            <translation>arrivant plus grand</translation>
        </message>
        <message>
            <source>same bytes</source>
            <translation>mêmes octets</translation>
        </message>
        <message>
            <source>incoming newer</source>
            <translation>arrivant plus récent</translation>
        </message>
        <message>
            <source>incoming older</source>
            <translation>arrivant plus ancien</translation>
        </message>
        <message>
            <source>same date, other bytes</source>
            <translation>même date, autres octets</translation>
        </message>
        <message>
            <source>a file and a folder</source>
            <translation>un fichier et un dossier</translation>
        </message>
        <message>
            <source>two of the batch</source>
            <translation>deux du lot</translation>
        </message>
        <message>
            <source>Use this rule</source>
            <translation>Utiliser cette règle</translation>
        </message>
        <message>
            <source>ask me</source>
            <translation>me demander</translation>
        </message>
        <message>
            <source>skip</source>
            <translation>ignorer</translation>
        </message>
        <message>
            <source>overwrite</source>
            <translation>écraser</translation>
        </message>
        <message>
            <source>rename</source>
            <translation>renommer</translation>
        </message>
    </context>
    <context>
        <name>PackDialog</name>
        <message>
            <source>zip: to send; everybody can open it</source>
            <translation>zip : pour envoyer ; tout le monde peut l’ouvrir</translation>
        </message>
        <message>
            <source>tar: without compression</source>
            <translation>tar : sans compression</translation>
        </message>
        <message>
            <source>tar.gz: for other Unix machines</source>
            <translation>tar.gz : pour d’autres machines Unix</translation>
        </message>
        <message>
            <source>tar.xz: to put away; smallest, slowest</source>
            <translation>tar.xz : pour archiver ; le plus petit, le plus lent</translation>
        </message>
        <message>
            <source>tar.zst: to put away in a hurry</source>
            <translation>tar.zst : pour archiver en hâte</translation>
        </message>
        <message>
            <source>Keeps permissions, links, empty folders and dates to the second. Not owners, notes of programs (extended attributes), or that two names are one file.</source>
            <translation>Garde permissions, liens, dossiers vides et dates à la seconde. Pas les propriétaires, ni les notes des programmes (attributs étendus), ni que deux noms sont un fichier.</translation>
        </message>
        <message>
            <source>Keeps everything: owners, permissions, dates, links, notes of programs, holes.</source>
            <translation>Garde tout : propriétaires, permissions, dates, liens, notes des programmes, trous.</translation>
        </message>
        <message>
            <source>little: fast</source>
            <translation>peu : rapide</translation>
        </message>
        <message>
            <source>as usual</source>
            <translation>comme d’habitude</translation>
        </message>
        <message>
            <source>much: small, and slow</source>
            <translation>beaucoup : petit, et lent</translation>
        </message>
        <message>
            <source>Pack into an archive</source>
            <translation>Empaqueter dans une archive</translation>
        </message>
        <message>
            <source>Choose…</source>
            <translation>Choisir…</translation>
        </message>
        <message>
            <source>Then remove them, to the Safe: each file once it is proved to be in the archive</source>
            <translation>Puis les retirer, au coffre : chaque fichier une fois prouvé qu’il est dans l’archive</translation>
        </message>
        <message>
            <source>&amp;Folder</source>
            <translation>&amp;Dossier</translation>
        </message>
        <message>
            <source>&amp;Name</source>
            <translation>&amp;Nom</translation>
        </message>
        <message>
            <source>F&amp;ormat</source>
            <translation>&amp;Format</translation>
        </message>
        <message>
            <source>&amp;Compression</source>
            <translation>&amp;Compression</translation>
        </message>
        <message>
            <source>Use it</source>
            <translation>L’utiliser</translation>
        </message>
        <message>
            <source>Where the archive is to be</source>
            <translation>Où l’archive doit être</translation>
        </message>
        <message>
            <source>The folder is a path that begins with /.</source>
            <translation>Le dossier est un chemin qui commence par /.</translation>
        </message>
        <message>
            <source>The archive wants a name.</source>
            <translation>Il faut un nom à l’archive.</translation>
        </message>
        <message>
            <source>No file can have this name.</source>
            <translation>Aucun fichier ne peut porter ce nom.</translation>
        </message>
        <message>
            <source>It has its name once everything was read back out of it and compared.</source>
            <translation>Elle reçoit son nom une fois que tout y a été relu et comparé.</translation>
        </message>
    </context>
    <context>
        <name>PairModel</name>
        <message>
            <source>a folder</source>
            <translation>un dossier</translation>
        </message>
        <message>
            <source>a link</source>
            <translation>un lien</translation>
        </message>
        <message>
            <source>special</source>
            <translation>spécial</translation>
        </message>
        <message>
            <source>from %1</source>
            <translation>à partir de %1</translation>
        </message>
        <message>
            <source>same bytes</source>
            <translation>mêmes octets</translation>
        </message>
        <message>
            <source>is there as %1</source>
            <translation>est là sous %1</translation>
        </message>
        <message>
            <source>not compared yet</source>
            <translation>pas encore comparés</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Incoming</source>
            <translation>Arrive</translation>
        </message>
        <message>
            <source>There now</source>
            <translation>Là maintenant</translation>
        </message>
        <message>
            <source>In words</source>
            <translation>En mots</translation>
        </message>
        <message>
            <source>Decision</source>
            <translation>Décision</translation>
        </message>
    </context>
    <context>
        <name>PastRuns</name>
        <message>
            <source>no longer there</source>
            <translation>n’est plus là</translation>
        </message>
        <message>
            <source>other bytes now</source>
            <translation>autres octets maintenant</translation>
        </message>
        <message>
            <source>other attributes now</source>
            <translation>autres attributs maintenant</translation>
        </message>
        <message>
            <source>cannot be read now</source>
            <translation>illisible maintenant</translation>
        </message>
    </context>
    <context>
        <name>PickBox</name>
        <message>
            <source>Pick by typing a part of a name</source>
            <translation>Prendre en tapant une partie d’un nom</translation>
        </message>
        <message>
            <source>Pick by typing…</source>
            <translation>Prendre en tapant…</translation>
        </message>
        <message>
            <source>a few characters, then Return</source>
            <translation>quelques lettres, puis Entrée</translation>
        </message>
        <message>
            <source>the names are still being read</source>
            <translation>les noms sont encore en lecture</translation>
        </message>
        <message>
            <source>no name here has “%1”</source>
            <translation>aucun nom ici n’a « %1 »</translation>
        </message>
        <message numerus="yes">
            <source>%Ln left: type on, or arrows</source>
            <translation>
                <numerusform>%Ln reste : continuez, ou flèches</numerusform>
                <numerusform>%Ln restent : continuez, ou flèches</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 is in the batch already</source>
            <translation>%1 est déjà dans le lot</translation>
        </message>
        <message>
            <source>Return adds %1</source>
            <translation>Entrée ajoute %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln left, nothing added: type on</source>
            <translation>
                <numerusform>%Ln reste, rien d’ajouté : continuez</numerusform>
                <numerusform>%Ln restent, rien d’ajouté : continuez</numerusform>
            </translation>
        </message>
        <message>
            <source>added; the next one…</source>
            <translation>ajouté ; le suivant…</translation>
        </message>
        <message>
            <source>Last:</source>
            <translation>Derniers :</translation>
        </message>
        <message>
            <source>“%1” not found</source>
            <translation>« %1 » introuvable</translation>
        </message>
        <message>
            <source>Take %1 out of the batch again</source>
            <translation>Retirer %1 du lot</translation>
        </message>
    </context>
    <context>
        <name>PicturePair</name>
        <message>
            <source>The two pictures</source>
            <translation>Les deux images</translation>
        </message>
        <message>
            <source>Wheel: closer; drag: another part; B: each in the other's place</source>
            <translation>Molette : plus près ; glisser : une autre partie ; B : chacune à la place de l’autre</translation>
        </message>
    </context>
    <context>
        <name>PlaceStrip</name>
        <message>
            <source>Bench</source>
            <translation>Établi</translation>
        </message>
        <message>
            <source>Collisions</source>
            <translation>Collisions</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Exécutions</translation>
        </message>
        <message>
            <source>Receipts</source>
            <translation>Reçus</translation>
        </message>
        <message>
            <source>Safe</source>
            <translation>Coffre</translation>
        </message>
        <message>
            <source>Saved jobs</source>
            <translation>Tâches</translation>
        </message>
        <message>
            <source>Sizes</source>
            <translation>Tailles</translation>
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
            <translation>Dossier personnel</translation>
        </message>
        <message>
            <source>Desktop</source>
            <translation>Bureau</translation>
        </message>
        <message>
            <source>Documents</source>
            <translation>Documents</translation>
        </message>
        <message>
            <source>Downloads</source>
            <translation>Téléchargements</translation>
        </message>
        <message>
            <source>Pictures</source>
            <translation>Images</translation>
        </message>
        <message>
            <source>Music</source>
            <translation>Musique</translation>
        </message>
        <message>
            <source>Videos</source>
            <translation>Vidéos</translation>
        </message>
        <message>
            <source>Destination: %1</source>
            <translation>Destination : %1</translation>
        </message>
        <message>
            <source>Volumes</source>
            <translation>Volumes</translation>
        </message>
        <message>
            <source>looking…</source>
            <translation>examen…</translation>
        </message>
        <message>
            <source>Bookmarks</source>
            <translation>Signets</translation>
        </message>
        <message>
            <source>Take this folder out of the bookmarks</source>
            <translation>Retirer ce dossier des signets</translation>
        </message>
        <message>
            <source>Bookmark this folder</source>
            <translation>Mettre un signet sur ce dossier</translation>
        </message>
        <message>
            <source>Recent folders</source>
            <translation>Dossiers récents</translation>
        </message>
        <message>
            <source>File system</source>
            <translation>Système de fichiers</translation>
        </message>
        <message>
            <source>%1 · %2 free of %3</source>
            <translation>%1 · %2 libres sur %3</translation>
        </message>
    </context>
    <context>
        <name>RatePlot</name>
        <message>
            <source>limited</source>
            <translation>limité</translation>
        </message>
        <message>
            <source>paused</source>
            <translation>en pause</translation>
        </message>
        <message>
            <source>waits for the drive</source>
            <translation>attend le disque</translation>
        </message>
        <message>
            <source>Rate over the last minute: %1 now</source>
            <translation>Débit de la dernière minute : %1 maintenant</translation>
        </message>
        <message>
            <source>a minute ago</source>
            <translation>il y a une minute</translation>
        </message>
        <message>
            <source>now</source>
            <translation>maintenant</translation>
        </message>
    </context>
    <context>
        <name>ReceiptItemsModel</name>
        <message>
            <source>taken back since</source>
            <translation>repris depuis</translation>
        </message>
    </context>
    <context>
        <name>Receipts</name>
        <message>
            <source>from %1
to %2</source>
            <translation>de %1
vers %2</translation>
        </message>
        <message>
            <source>without: %1</source>
            <translation>sans : %1</translation>
        </message>
        <message>
            <source>old one in the Safe</source>
            <translation>l’ancien est au coffre</translation>
        </message>
        <message>
            <source>the folder was empty</source>
            <translation>le dossier était vide</translation>
        </message>
        <message>
            <source>to the Safe</source>
            <translation>au coffre</translation>
        </message>
        <message>
            <source>same bytes</source>
            <translation>mêmes octets</translation>
        </message>
        <message>
            <source>stays as it was</source>
            <translation>reste tel qu’il était</translation>
        </message>
        <message>
            <source>left as they were, both</source>
            <translation>laissés tels quels, tous deux</translation>
        </message>
        <message>
            <source>the run was stopped before it</source>
            <translation>l’exécution s’est arrêtée avant</translation>
        </message>
        <message>
            <source>as %1</source>
            <translation>sous le nom %1</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Result</source>
            <translation>Résultat</translation>
        </message>
        <message>
            <source>Where, or why</source>
            <translation>Où, ou pourquoi</translation>
        </message>
        <message>
            <source>nothing was done</source>
            <translation>rien n’a été fait</translation>
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
            <translation>Exécutions passées</translation>
        </message>
        <message>
            <source>Where did a file go?</source>
            <translation>Où est allé un fichier ?</translation>
        </message>
        <message>
            <source>Where did it go? A file or folder name</source>
            <translation>Où est-il allé ? Nom d’un fichier ou d’un dossier</translation>
        </message>
        <message>
            <source>Very many: the newest %1 of them. Another word narrows it.</source>
            <translation>Beaucoup trop : les %1 plus récents. Un mot de plus restreint.</translation>
        </message>
        <message>
            <source>Receipts of runs of which the Safe still holds versions stay in any case</source>
            <translation>Les reçus d’exécutions dont le coffre tient encore des versions restent en tout cas</translation>
        </message>
        <message>
            <source>Nothing has been run yet. Each run leaves a receipt here that can be undone.</source>
            <translation>Rien n’a encore tourné. Chaque exécution laisse ici un reçu qui peut être annulé.</translation>
        </message>
        <message>
            <source>Undo…</source>
            <translation>Annuler…</translation>
        </message>
        <message>
            <source>Shows first what an undo would do</source>
            <translation>Montre d’abord ce que ferait une annulation</translation>
        </message>
        <message>
            <source>Go on</source>
            <translation>Continuer</translation>
        </message>
        <message>
            <source>Does the rest of what this run was to do</source>
            <translation>Fait le reste de ce que cette exécution devait faire</translation>
        </message>
        <message>
            <source>Leave it as it is</source>
            <translation>Laisser tel quel</translation>
        </message>
        <message>
            <source>Removes from the Safe what this undo took away, as far as its source still holds the same bytes</source>
            <translation>Retire du coffre ce que cette annulation a enlevé, pour autant que sa source ait encore les mêmes octets</translation>
        </message>
        <message>
            <source>Remove for good</source>
            <translation>Retirer pour de bon</translation>
        </message>
        <message>
            <source>Which results are shown</source>
            <translation>Quels résultats sont affichés</translation>
        </message>
        <message>
            <source>More…</source>
            <translation>Plus…</translation>
        </message>
        <message>
            <source>Check again, write to a file, print</source>
            <translation>Vérifier, écrire dans un fichier, imprimer</translation>
        </message>
        <message>
            <source>Items of this run</source>
            <translation>Éléments de cette exécution</translation>
        </message>
        <message>
            <source>What the undo would do</source>
            <translation>Ce que ferait l’annulation</translation>
        </message>
        <message>
            <source>Read again: all of it is as the run left it.</source>
            <translation>Relu : tout est comme l’exécution l’a laissé.</translation>
        </message>
        <message numerus="yes">
            <source>Read again: %Ln items are no longer as the run left them.</source>
            <translation>
                <numerusform>Relu : %Ln élément n’est plus comme l’exécution l’a laissé.</numerusform>
                <numerusform>Relu : %Ln éléments ne sont plus comme l’exécution les a laissés.</numerusform>
            </translation>
        </message>
        <message>
            <source>Written to %1.</source>
            <translation>Écrit dans %1.</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln could not keep everything</source>
            <translation>
                <numerusform> · %Ln n’a pas tout gardé</numerusform>
                <numerusform> · %Ln n’ont pas tout gardé</numerusform>
            </translation>
        </message>
        <message>
            <source>No run had to do with such a name.</source>
            <translation>Aucune exécution n’a touché un tel nom.</translation>
        </message>
        <message>
            <source>Reading and removing: %1 of %2 versions looked at</source>
            <translation>Lecture et retrait : %1 versions examinées sur %2</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions are gone for good.</source>
            <translation>
                <numerusform>%Ln version a disparu pour de bon.</numerusform>
                <numerusform>%Ln versions ont disparu pour de bon.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln stay in the Safe, as their source does not hold the same bytes now.</source>
            <translation>
                <numerusform>%Ln reste au coffre, car sa source n’a plus les mêmes octets.</numerusform>
                <numerusform>%Ln restent au coffre, car leur source n’a plus les mêmes octets.</numerusform>
            </translation>
        </message>
        <message>
            <source>Undo: %1</source>
            <translation>Annulation : %1</translation>
        </message>
        <message numerus="yes">
            <source>%1 · %2 · %Ln items</source>
            <translation>
                <numerusform>%1 · %2 · %Ln élément</numerusform>
                <numerusform>%1 · %2 · %Ln éléments</numerusform>
            </translation>
        </message>
        <message>
            <source> · waited for room: %1</source>
            <translation> · a attendu de la place : %1</translation>
        </message>
        <message>
            <source> · undone by %1</source>
            <translation> · annulée par %1</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln taken back since</source>
            <translation>
                <numerusform> · %Ln repris depuis</numerusform>
                <numerusform> · %Ln repris depuis</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source> · left %Ln versions in the Safe, %1</source>
            <translation>
                <numerusform> · a laissé %Ln version au coffre, %1</numerusform>
                <numerusform> · a laissé %Ln versions au coffre, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>Free %1…</source>
            <translation>Libérer %1…</translation>
        </message>
        <message>
            <source>All results</source>
            <translation>Tous les résultats</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
        <message numerus="yes">
            <source>Undo %Ln chosen…</source>
            <translation>
                <numerusform>Annuler %Ln choisi…</numerusform>
                <numerusform>Annuler les %Ln choisis…</numerusform>
            </translation>
        </message>
        <message>
            <source>This run has been undone already</source>
            <translation>Cette exécution est déjà annulée</translation>
        </message>
        <message>
            <source>Shows first what an undo of the selected items would do</source>
            <translation>Montre d’abord ce que ferait l’annulation des éléments sélectionnés</translation>
        </message>
        <message>
            <source>Shows first what an undo would do; with items selected, of these alone</source>
            <translation>Montre d’abord ce que ferait une annulation ; avec des éléments sélectionnés, de ceux-là seuls</translation>
        </message>
        <message>
            <source>Receipts are kept for good…</source>
            <translation>Les reçus sont gardés pour de bon…</translation>
        </message>
        <message numerus="yes">
            <source>Receipts are kept %Ln days…</source>
            <translation>
                <numerusform>Les reçus sont gardés %Ln jour…</numerusform>
                <numerusform>Les reçus sont gardés %Ln jours…</numerusform>
            </translation>
        </message>
        <message>
            <source>Keep receipts for good</source>
            <translation>Garder les reçus pour de bon</translation>
        </message>
        <message>
            <source>Keep them a year, from the next start on</source>
            <translation>Les garder un an, dès le prochain démarrage</translation>
        </message>
        <message>
            <source>Keep them 90 days, from the next start on</source>
            <translation>Les garder 90 jours, dès le prochain démarrage</translation>
        </message>
        <message>
            <source>Show it there: what came in, where it is</source>
            <translation>Montrer là-bas : ce qui est arrivé, là où c’est</translation>
        </message>
        <message>
            <source>The same on the bench again</source>
            <translation>La même chose de nouveau sur l’établi</translation>
        </message>
        <message>
            <source>Keep as a job…</source>
            <translation>Garder comme tâche…</translation>
        </message>
        <message>
            <source>Check again: read it, and compare</source>
            <translation>Vérifier : relire et comparer</translation>
        </message>
        <message>
            <source>reading it again…</source>
            <translation>relecture…</translation>
        </message>
        <message>
            <source>Write to a file…</source>
            <translation>Écrire dans un fichier…</translation>
        </message>
        <message>
            <source>Write the receipt to a file</source>
            <translation>Écrire le reçu dans un fichier</translation>
        </message>
        <message>
            <source>Receipt document (*.json);;Table (*.csv);;Page (*.html)</source>
            <translation>Document du reçu (*.json);;Tableau (*.csv);;Page (*.html)</translation>
        </message>
        <message>
            <source>Print…</source>
            <translation>Imprimer…</translation>
        </message>
        <message numerus="yes">
            <source>%Ln taken away (files to the Safe)</source>
            <translation>
                <numerusform>%Ln enlevé (fichiers au coffre)</numerusform>
                <numerusform>%Ln enlevés (fichiers au coffre)</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln put back</source>
            <translation>
                <numerusform>%Ln remis</numerusform>
                <numerusform>%Ln remis</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln left alone, changed since</source>
            <translation>
                <numerusform>%Ln laissé, modifié depuis</numerusform>
                <numerusform>%Ln laissés, modifiés depuis</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders stay, as they hold something</source>
            <translation>
                <numerusform>%Ln dossier reste, car il contient quelque chose</numerusform>
                <numerusform>%Ln dossiers restent, car ils contiennent quelque chose</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln cannot be done</source>
            <translation>
                <numerusform>%Ln impossible</numerusform>
                <numerusform>%Ln impossibles</numerusform>
            </translation>
        </message>
        <message>
            <source>There is nothing left to undo.</source>
            <translation>Il ne reste rien à annuler.</translation>
        </message>
        <message>
            <source>The undo will do this: %1</source>
            <translation>L’annulation fera ceci : %1</translation>
        </message>
        <message numerus="yes">
            <source>Undo %Ln items</source>
            <translation>
                <numerusform>Annuler %Ln élément</numerusform>
                <numerusform>Annuler %Ln éléments</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions, %1, would be gone for good, each only once its bytes are seen in the source that it was copied from. The others stay.</source>
            <translation>
                <numerusform>%Ln version, %1, disparaîtrait pour de bon, une fois ses octets vus dans la source dont elle a été copiée. Les autres restent.</numerusform>
                <numerusform>%Ln versions, %1, disparaîtraient pour de bon, chacune une fois ses octets vus dans la source dont elle a été copiée. Les autres restent.</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>RunFaultsModel</name>
        <message>
            <source>in %1</source>
            <translation>dans %1</translation>
        </message>
        <message>
            <source>Will be tried again when the run is through.</source>
            <translation>Sera réessayé quand l’exécution aura fini.</translation>
        </message>
        <message>
            <source>Will be left as it is.</source>
            <translation>Restera tel quel.</translation>
        </message>
        <message>
            <source>%1
%2</source>
            <translation>%1
%2</translation>
        </message>
        <message>
            <source>%1: %2. %3</source>
            <translation>%1 : %2. %3</translation>
        </message>
    </context>
    <context>
        <name>RunLine</name>
        <message>
            <source>Nothing is going on</source>
            <translation>Rien n’est en cours</translation>
        </message>
        <message>
            <source>Run</source>
            <translation>Exécution</translation>
        </message>
        <message>
            <source>Progress</source>
            <translation>Progression</translation>
        </message>
        <message>
            <source>Stop</source>
            <translation>Arrêter</translation>
        </message>
        <message>
            <source>Stops between two items; what is done stays done and can be undone</source>
            <translation>S’arrête entre deux éléments ; ce qui est fait reste fait et peut être annulé</translation>
        </message>
        <message>
            <source>Pause</source>
            <translation>Pause</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Exécutions</translation>
        </message>
        <message>
            <source>All runs, with what was done so far</source>
            <translation>Toutes les exécutions, avec ce qui est fait jusqu’ici</translation>
        </message>
        <message>
            <source>Receipt</source>
            <translation>Reçu</translation>
        </message>
        <message>
            <source>Show it there</source>
            <translation>Montrer là-bas</translation>
        </message>
        <message>
            <source>Opens the place where it went, with what came in marked</source>
            <translation>Ouvre l’endroit où c’est allé, avec ce qui est arrivé marqué</translation>
        </message>
        <message>
            <source>Go on</source>
            <translation>Continuer</translation>
        </message>
        <message>
            <source>Close</source>
            <translation>Fermer</translation>
        </message>
        <message numerus="yes">
            <source>%Ln more going on</source>
            <translation>
                <numerusform>%Ln autre en cours</numerusform>
                <numerusform>%Ln autres en cours</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln waiting</source>
            <translation>
                <numerusform>%Ln attend</numerusform>
                <numerusform>%Ln attendent</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln moved</source>
            <translation>
                <numerusform>%Ln déplacé</numerusform>
                <numerusform>%Ln déplacés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln packed</source>
            <translation>
                <numerusform>%Ln empaqueté</numerusform>
                <numerusform>%Ln empaquetés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln copied</source>
            <translation>
                <numerusform>%Ln copié</numerusform>
                <numerusform>%Ln copiés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln overwritten, old ones in the Safe</source>
            <translation>
                <numerusform>%Ln écrasé, l’ancien au coffre</numerusform>
                <numerusform>%Ln écrasés, les anciens au coffre</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln renamed</source>
            <translation>
                <numerusform>%Ln renommé</numerusform>
                <numerusform>%Ln renommés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders merged</source>
            <translation>
                <numerusform>%Ln dossier fusionné</numerusform>
                <numerusform>%Ln dossiers fusionnés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln put back</source>
            <translation>
                <numerusform>%Ln remis</numerusform>
                <numerusform>%Ln remis</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln taken away</source>
            <translation>
                <numerusform>%Ln enlevé</numerusform>
                <numerusform>%Ln enlevés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln skipped</source>
            <translation>
                <numerusform>%Ln ignoré</numerusform>
                <numerusform>%Ln ignorés</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln undecided</source>
            <translation>
                <numerusform>%Ln indécis</numerusform>
                <numerusform>%Ln indécis</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln failed</source>
            <translation>
                <numerusform>%Ln échec</numerusform>
                <numerusform>%Ln échecs</numerusform>
            </translation>
        </message>
        <message>
            <source>Stopped</source>
            <translation>Arrêtée</translation>
        </message>
        <message>
            <source>Done</source>
            <translation>Terminée</translation>
        </message>
        <message>
            <source>Paused, %1</source>
            <translation>En pause, %1</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
        <message>
            <source>nothing to do</source>
            <translation>rien à faire</translation>
        </message>
        <message>
            <source>Paused since the last time: %1</source>
            <translation>En pause depuis la dernière fois : %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln runs are paused since the last time.</source>
            <translation>
                <numerusform>%Ln exécution est en pause depuis la dernière fois.</numerusform>
                <numerusform>%Ln exécutions sont en pause depuis la dernière fois.</numerusform>
            </translation>
        </message>
        <message>
            <source>Interrupted: %1 Nothing is lost; going on finishes or takes back what was open.</source>
            <translation>Interrompue : %1 Rien n’est perdu ; continuer achève ou reprend ce qui était ouvert.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln runs were interrupted. Nothing is lost; going on finishes or takes back what was open.</source>
            <translation>
                <numerusform>%Ln exécution a été interrompue. Rien n’est perdu ; continuer achève ou reprend ce qui était ouvert.</numerusform>
                <numerusform>%Ln exécutions ont été interrompues. Rien n’est perdu ; continuer achève ou reprend ce qui était ouvert.</numerusform>
            </translation>
        </message>
        <message>
            <source>The run could not go on: %1</source>
            <translation>L’exécution n’a pas pu continuer : %1</translation>
        </message>
    </context>
    <context>
        <name>Runs</name>
        <message>
            <source>Undo: %1</source>
            <translation>Annulation : %1</translation>
        </message>
    </context>
    <context>
        <name>RunsPage</name>
        <message>
            <source>Clear what has ended</source>
            <translation>Ranger ce qui est fini</translation>
        </message>
        <message>
            <source>Pause all</source>
            <translation>Tout mettre en pause</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Exécutions</translation>
        </message>
        <message>
            <source>Nothing is going on. What is started on the Bench runs here, and its receipt stays under Receipts.</source>
            <translation>Rien n’est en cours. Ce qui démarre sur l’établi tourne ici, et son reçu reste sous Reçus.</translation>
        </message>
        <message>
            <source>newest first; this leaves no receipt</source>
            <translation>le plus récent d’abord ; ceci ne laisse pas de reçu</translation>
        </message>
        <message>
            <source>Nothing yet. What has gone shows here.</source>
            <translation>Rien encore. Ce qui est parti apparaît ici.</translation>
        </message>
        <message>
            <source>newest first; all of it is in the receipt</source>
            <translation>le plus récent d’abord ; tout est dans le reçu</translation>
        </message>
        <message>
            <source>Only items with</source>
            <translation>Seulement les éléments avec</translation>
        </message>
        <message>
            <source>Name or place</source>
            <translation>Nom ou lieu</translation>
        </message>
        <message>
            <source>As it goes</source>
            <translation>Au fil du temps</translation>
        </message>
        <message>
            <source>What the run has done so far</source>
            <translation>Ce que l’exécution a fait jusqu’ici</translation>
        </message>
        <message>
            <source>What failed</source>
            <translation>Ce qui a échoué</translation>
        </message>
        <message>
            <source>Once its cause is mended: under the same receipt, as it was asked for</source>
            <translation>Une fois la cause écartée : sous le même reçu, comme demandé</translation>
        </message>
        <message>
            <source>Counts as skipped; the receipt keeps why</source>
            <translation>Compte comme ignoré ; le reçu garde pourquoi</translation>
        </message>
        <message numerus="yes">
            <source>%Ln going on</source>
            <translation>
                <numerusform>%Ln en cours</numerusform>
                <numerusform>%Ln en cours</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln waiting</source>
            <translation>
                <numerusform>%Ln attend</numerusform>
                <numerusform>%Ln attendent</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln paused</source>
            <translation>
                <numerusform>%Ln en pause</numerusform>
                <numerusform>%Ln en pause</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln interrupted</source>
            <translation>
                <numerusform>%Ln interrompue</numerusform>
                <numerusform>%Ln interrompues</numerusform>
            </translation>
        </message>
        <message>
            <source>Nothing is going on</source>
            <translation>Rien n’est en cours</translation>
        </message>
        <message>
            <source>Reading limit for all: none</source>
            <translation>Limite de lecture pour toutes : aucune</translation>
        </message>
        <message>
            <source>Reading limit for all: %1</source>
            <translation>Limite de lecture pour toutes : %1</translation>
        </message>
        <message>
            <source>Nothing done so far has that in its name or place.</source>
            <translation>Rien de fait jusqu’ici n’a cela dans son nom ou son lieu.</translation>
        </message>
        <message>
            <source>Nothing yet. What it does shows here as it goes; what it did before is in its receipt.</source>
            <translation>Rien encore. Ce qu’elle fait apparaît ici au fil du temps ; ce qu’elle a fait avant est dans son reçu.</translation>
        </message>
        <message>
            <source>Nothing needs you</source>
            <translation>Rien n’a besoin de vous</translation>
        </message>
        <message numerus="yes">
            <source>Needs you: %Ln failed</source>
            <translation>
                <numerusform>A besoin de vous : %Ln échec</numerusform>
                <numerusform>A besoin de vous : %Ln échecs</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Try %Ln again</source>
            <translation>
                <numerusform>Réessayer %Ln</numerusform>
                <numerusform>Réessayer %Ln</numerusform>
            </translation>
        </message>
        <message>
            <source>Try all again</source>
            <translation>Tout réessayer</translation>
        </message>
        <message numerus="yes">
            <source>Leave %Ln</source>
            <translation>
                <numerusform>Laisser %Ln</numerusform>
                <numerusform>Laisser %Ln</numerusform>
            </translation>
        </message>
        <message>
            <source>Leave all</source>
            <translation>Tout laisser</translation>
        </message>
        <message>
            <source>They are tried again when the run is through.</source>
            <translation>Ils sont réessayés quand l’exécution a fini.</translation>
        </message>
    </context>
    <context>
        <name>SafeModel</name>
        <message>
            <source>lies at %1</source>
            <translation>se trouve à %1</translation>
        </message>
        <message>
            <source>lies at %1, which cannot be reached now</source>
            <translation>se trouve à %1, hors d’atteinte en ce moment</translation>
        </message>
        <message>
            <source>a folder</source>
            <translation>un dossier</translation>
        </message>
        <message>
            <source>not mounted now · %1</source>
            <translation>pas monté en ce moment · %1</translation>
        </message>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Place it held</source>
            <translation>Place qu’elle tenait</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Set aside</source>
            <translation>Mise de côté</translation>
        </message>
        <message>
            <source>By</source>
            <translation>Par</translation>
        </message>
    </context>
    <context>
        <name>SafePage</name>
        <message>
            <source>Only versions with</source>
            <translation>Seulement les versions avec</translation>
        </message>
        <message>
            <source>Name or place</source>
            <translation>Nom ou lieu</translation>
        </message>
        <message>
            <source>How long versions are kept, and when the Safe is too large</source>
            <translation>Combien de temps les versions sont gardées, et quand le coffre est trop grand</translation>
        </message>
        <message>
            <source>Empty by age…</source>
            <translation>Vider par âge…</translation>
        </message>
        <message>
            <source>Leave it as it is</source>
            <translation>Laisser tel quel</translation>
        </message>
        <message>
            <source>Versions in the Safe</source>
            <translation>Versions au coffre</translation>
        </message>
        <message>
            <source>The Safe is empty. What a run takes a name from, or takes out of a folder, comes here first, whole.</source>
            <translation>Le coffre est vide. Ce à quoi une exécution prend son nom, ou qu’elle sort d’un dossier, vient d’abord ici, entier.</translation>
        </message>
        <message>
            <source>Bring back to its place</source>
            <translation>Ramener à sa place</translation>
        </message>
        <message>
            <source>Bring back elsewhere…</source>
            <translation>Ramener ailleurs…</translation>
        </message>
        <message>
            <source>Remove for good…</source>
            <translation>Retirer pour de bon…</translation>
        </message>
        <message>
            <source>Removing for good: %1 of %2 versions</source>
            <translation>Retrait pour de bon : %1 versions sur %2</translation>
        </message>
        <message>
            <source>In the Safe</source>
            <translation>Au coffre</translation>
        </message>
        <message>
            <source>There now</source>
            <translation>Là maintenant</translation>
        </message>
        <message>
            <source>Nothing is there now</source>
            <translation>Il n’y a rien là maintenant</translation>
        </message>
        <message>
            <source>Something else holds that name now. It can go to the Safe in turn, or the version comes back under a new name.</source>
            <translation>Autre chose tient ce nom maintenant. Cela peut aller au coffre à son tour, ou la version revient sous un nouveau nom.</translation>
        </message>
        <message>
            <source>Put it in its place</source>
            <translation>La mettre à sa place</translation>
        </message>
        <message>
            <source>Under a new name</source>
            <translation>Sous un nouveau nom</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions are gone for good.</source>
            <translation>
                <numerusform>%Ln version a disparu pour de bon.</numerusform>
                <numerusform>%Ln versions ont disparu pour de bon.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%1 in %2 (%Ln versions)</source>
            <translation>
                <numerusform>%1 dans %2 (%Ln version)</numerusform>
                <numerusform>%1 dans %2 (%Ln versions)</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%1 in %2, not mounted now (%Ln versions)</source>
            <translation>
                <numerusform>%1 dans %2, pas monté en ce moment (%Ln version)</numerusform>
                <numerusform>%1 dans %2, pas monté en ce moment (%Ln versions)</numerusform>
            </translation>
        </message>
        <message>
            <source>The Safe is empty</source>
            <translation>Le coffre est vide</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions in the Safe, %1</source>
            <translation>
                <numerusform>%Ln version au coffre, %1</numerusform>
                <numerusform>%Ln versions au coffre, %1</numerusform>
            </translation>
        </message>
        <message>
            <source>more than the %1 that you have set</source>
            <translation>plus que les %1 que vous avez fixés</translation>
        </message>
        <message>
            <source>Kept until emptied</source>
            <translation>Gardées jusqu’au vidage</translation>
        </message>
        <message numerus="yes">
            <source>Kept %Ln days</source>
            <translation>
                <numerusform>Gardées %Ln jour</numerusform>
                <numerusform>Gardées %Ln jours</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Remove %Ln for good…</source>
            <translation>
                <numerusform>Retirer %Ln pour de bon…</numerusform>
                <numerusform>Retirer %Ln pour de bon…</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions are selected.</source>
            <translation>
                <numerusform>%Ln version est sélectionnée.</numerusform>
                <numerusform>%Ln versions sont sélectionnées.</numerusform>
            </translation>
        </message>
        <message>
            <source>The volume that it lies on is not mounted now.</source>
            <translation>Le volume où elle se trouve n’est pas monté en ce moment.</translation>
        </message>
        <message>
            <source>Bring back into</source>
            <translation>Ramener dans</translation>
        </message>
        <message>
            <source>Versions stay until I empty the Safe</source>
            <translation>Les versions restent jusqu’à ce que je vide le coffre</translation>
        </message>
        <message>
            <source>They leave by themselves after a year</source>
            <translation>Elles partent d’elles-mêmes après un an</translation>
        </message>
        <message>
            <source>They leave by themselves after 90 days</source>
            <translation>Elles partent d’elles-mêmes après 90 jours</translation>
        </message>
        <message>
            <source>They leave by themselves after 30 days</source>
            <translation>Elles partent d’elles-mêmes après 30 jours</translation>
        </message>
        <message>
            <source>No warning of its size</source>
            <translation>Pas d’avertissement sur sa taille</translation>
        </message>
        <message>
            <source>Warn when it takes more than %1</source>
            <translation>Avertir s’il occupe plus de %1</translation>
        </message>
        <message>
            <source>At each start, versions older than %1 days would be gone for good, and their runs could no longer be undone in full.</source>
            <translation>À chaque démarrage, les versions de plus de %1 jours disparaîtraient pour de bon, et leurs exécutions ne pourraient plus être annulées en entier.</translation>
        </message>
        <message numerus="yes">
            <source>Now that would be %Ln versions.</source>
            <translation>
                <numerusform>Cela ferait maintenant %Ln version.</numerusform>
                <numerusform>Cela ferait maintenant %Ln versions.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Keep them %Ln days</source>
            <translation>
                <numerusform>Les garder %Ln jour</numerusform>
                <numerusform>Les garder %Ln jours</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%1: %Ln versions, %2</source>
            <translation>
                <numerusform>%1 : %Ln version, %2</numerusform>
                <numerusform>%1 : %Ln versions, %2</numerusform>
            </translation>
        </message>
        <message>
            <source>Older than a year</source>
            <translation>De plus d’un an</translation>
        </message>
        <message>
            <source>Older than 90 days</source>
            <translation>De plus de 90 jours</translation>
        </message>
        <message>
            <source>Older than 30 days</source>
            <translation>De plus de 30 jours</translation>
        </message>
        <message>
            <source>Larger than 100 MB</source>
            <translation>De plus de 100 Mo</translation>
        </message>
        <message>
            <source>Everything</source>
            <translation>Tout</translation>
        </message>
        <message numerus="yes">
            <source>%Ln versions would be gone for good; that is not undone.</source>
            <translation>
                <numerusform>%Ln version disparaîtrait pour de bon ; cela ne s’annule pas.</numerusform>
                <numerusform>%Ln versions disparaîtraient pour de bon ; cela ne s’annule pas.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln runs can then no longer be undone in full.</source>
            <translation>
                <numerusform>%Ln exécution ne pourra plus alors être annulée en entier.</numerusform>
                <numerusform>%Ln exécutions ne pourront plus alors être annulées en entier.</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>Remove %Ln versions for good</source>
            <translation>
                <numerusform>Retirer %Ln version pour de bon</numerusform>
                <numerusform>Retirer %Ln versions pour de bon</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>SafeVersions</name>
        <message numerus="yes">
            <source>Remove %Ln versions from the Safe for good</source>
            <translation>
                <numerusform>Retirer %Ln version du coffre pour de bon</numerusform>
                <numerusform>Retirer %Ln versions du coffre pour de bon</numerusform>
            </translation>
        </message>
        <message>
            <source>Bring back %1.</source>
            <translation>Ramener %1.</translation>
        </message>
    </context>
    <context>
        <name>Sentence</name>
        <message>
            <source>in folders by %1</source>
            <translation>dans des dossiers par %1</translation>
        </message>
        <message>
            <source>all files in one folder</source>
            <translation>tous les fichiers dans un dossier</translation>
        </message>
        <message>
            <source>keeping subfolders</source>
            <translation>en gardant les sous-dossiers</translation>
        </message>
        <message>
            <source>keeping subfolders with files in them</source>
            <translation>en gardant les sous-dossiers qui ont des fichiers</translation>
        </message>
        <message>
            <source>without subfolders</source>
            <translation>sans sous-dossiers</translation>
        </message>
        <message>
            <source>only what is in the folders, %1</source>
            <translation>seulement ce que contiennent les dossiers, %1</translation>
        </message>
        <message>
            <source>keeping folders below %1</source>
            <translation>en gardant les dossiers sous %1</translation>
        </message>
        <message>
            <source>only what is in them</source>
            <translation>seulement leur contenu</translation>
        </message>
        <message>
            <source>the files and folders in them</source>
            <translation>les fichiers et dossiers dedans</translation>
        </message>
        <message>
            <source>the files directly in them</source>
            <translation>les fichiers directement dedans</translation>
        </message>
        <message>
            <source>the files in them, also in subfolders</source>
            <translation>les fichiers dedans, aussi dans les sous-dossiers</translation>
        </message>
        <message>
            <source>leaving what else is there</source>
            <translation>en laissant ce qu’il y a d’autre</translation>
        </message>
        <message>
            <source>leaving nothing extra there</source>
            <translation>en n’y laissant rien de plus</translation>
        </message>
        <message>
            <source>emptying it first</source>
            <translation>en la vidant d’abord</translation>
        </message>
        <message>
            <source>ask me</source>
            <translation>me demander</translation>
        </message>
        <message>
            <source>keep what is there</source>
            <translation>garder ce qui est là</translation>
        </message>
        <message>
            <source>the newer one wins</source>
            <translation>le plus récent gagne</translation>
        </message>
        <message>
            <source>overwrite what is there</source>
            <translation>écraser ce qui est là</translation>
        </message>
        <message>
            <source>the larger one wins</source>
            <translation>le plus grand gagne</translation>
        </message>
        <message>
            <source>bring it up to date</source>
            <translation>mettre à jour</translation>
        </message>
        <message>
            <source>my own rule</source>
            <translation>ma propre règle</translation>
        </message>
        <message>
            <source>keep both</source>
            <translation>garder les deux</translation>
        </message>
        <message>
            <source>both stay until you look</source>
            <translation>les deux restent jusqu’à ce que vous regardiez</translation>
        </message>
        <message>
            <source>%1: %2</source>
            <translation>%1 : %2</translation>
        </message>
        <message>
            <source>%1 and %2: %3</source>
            <translation>%1 et %2 : %3</translation>
        </message>
        <message>
            <source>%1 (%2)</source>
            <translation>%1 (%2)</translation>
        </message>
        <message>
            <source>“%1”</source>
            <translation>« %1 »</translation>
        </message>
        <message>
            <source>%1 behind</source>
            <translation>%1 derrière</translation>
        </message>
        <message>
            <source>%1 in front</source>
            <translation>%1 devant</translation>
        </message>
        <message>
            <source>without “%1”</source>
            <translation>sans « %1 »</translation>
        </message>
        <message>
            <source>“%1” for “%2”</source>
            <translation>« %1 » pour « %2 »</translation>
        </message>
        <message>
            <source>“%1” for what fits %2</source>
            <translation>« %1 » pour ce qui convient à %2</translation>
        </message>
        <message>
            <source>lower case</source>
            <translation>minuscules</translation>
        </message>
        <message>
            <source>capitals</source>
            <translation>capitales</translation>
        </message>
        <message>
            <source>a capital for each word</source>
            <translation>une capitale à chaque mot</translation>
        </message>
        <message>
            <source>numbers %1</source>
            <translation>nombres %1</translation>
        </message>
        <message>
            <source>first number %1</source>
            <translation>premier nombre %1</translation>
        </message>
        <message>
            <source>last number %1</source>
            <translation>dernier nombre %1</translation>
        </message>
        <message>
            <source>without extension</source>
            <translation>sans extension</translation>
        </message>
        <message>
            <source>extension in lower case</source>
            <translation>extension en minuscules</translation>
        </message>
        <message>
            <source>extension in capitals</source>
            <translation>extension en capitales</translation>
        </message>
        <message>
            <source>extension %1</source>
            <translation>extension %1</translation>
        </message>
        <message>
            <source>named %1</source>
            <translation>nommé %1</translation>
        </message>
        <message>
            <source>by the table %1</source>
            <translation>selon le tableau %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln items</source>
            <translation>
                <numerusform>%Ln élément</numerusform>
                <numerusform>%Ln éléments</numerusform>
            </translation>
        </message>
        <message numerus="yes">
            <source>%Ln folders</source>
            <translation>
                <numerusform>%Ln dossier</numerusform>
                <numerusform>%Ln dossiers</numerusform>
            </translation>
        </message>
        <message>
            <source> in %1</source>
            <translation> dans %1</translation>
        </message>
        <message>
            <source> from %1</source>
            <translation> de %1</translation>
        </message>
        <message>
            <source>Move %1</source>
            <translation>Déplacer %1</translation>
        </message>
        <message>
            <source>Unpack %1</source>
            <translation>Dépaqueter %1</translation>
        </message>
        <message>
            <source>Copy %1</source>
            <translation>Copier %1</translation>
        </message>
        <message>
            <source> into %1</source>
            <translation> dans %1</translation>
        </message>
        <message>
            <source>, %1</source>
            <translation>, %1</translation>
        </message>
        <message>
            <source>, as %1</source>
            <translation>, sous le nom %1</translation>
        </message>
        <message>
            <source>, with new names: %1</source>
            <translation>, avec de nouveaux noms : %1</translation>
        </message>
        <message>
            <source>even where attributes are lost</source>
            <translation>même où des attributs se perdent</translation>
        </message>
        <message>
            <source>; where a name is taken, %1</source>
            <translation> ; où un nom est pris, %1</translation>
        </message>
        <message>
            <source>; what is already there under another name %1</source>
            <translation> ; ce qui est déjà là sous un autre nom %1</translation>
        </message>
        <message>
            <source>.</source>
            <translation>.</translation>
        </message>
        <message>
            <source>Pack %1 into %2</source>
            <translation>Empaqueter %1 dans %2</translation>
        </message>
        <message>
            <source>, then remove them to the Safe</source>
            <translation>, puis les retirer au coffre</translation>
        </message>
        <message>
            <source>is skipped</source>
            <translation>est ignoré</translation>
        </message>
        <message>
            <source>is asked about</source>
            <translation>est demandé</translation>
        </message>
        <message>
            <source>is marked, and comes all the same</source>
            <translation>est marqué, et vient quand même</translation>
        </message>
        <message>
            <source>, then </source>
            <translation>, puis </translation>
        </message>
        <message>
            <source>to the Safe</source>
            <translation>au coffre</translation>
        </message>
        <message>
            <source>to the trash</source>
            <translation>à la corbeille</translation>
        </message>
        <message>
            <source>, %1,</source>
            <translation>, %1,</translation>
        </message>
        <message>
            <source>Give %1%2 new names: %3; where a name is taken, %4.</source>
            <translation>Donner à %1%2 de nouveaux noms : %3 ; où un nom est pris, %4.</translation>
        </message>
        <message>
            <source>Remove %1%2, %3.</source>
            <translation>Retirer %1%2, %3.</translation>
        </message>
        <message>
            <source>Make the folder %1 in %2.</source>
            <translation>Créer le dossier %1 dans %2.</translation>
        </message>
    </context>
    <context>
        <name>SettingsDialog</name>
        <message>
            <source>Settings</source>
            <translation>Réglages</translation>
        </message>
        <message>
            <source>Use these</source>
            <translation>Les utiliser</translation>
        </message>
        <message>
            <source>as the desktop</source>
            <translation>comme le bureau</translation>
        </message>
        <message>
            <source>light</source>
            <translation>clair</translation>
        </message>
        <message>
            <source>dark</source>
            <translation>sombre</translation>
        </message>
        <message>
            <source>The window</source>
            <translation>La fenêtre</translation>
        </message>
        <message>
            <source>&amp;Looks</source>
            <translation>&amp;Apparence</translation>
        </message>
        <message>
            <source>A new batch</source>
            <translation>Un nouveau lot</translation>
        </message>
        <message>
            <source>Where a &amp;name is taken, begin with</source>
            <translation>Où un &amp;nom est pris, commencer par</translation>
        </message>
        <message>
            <source>Copies begin while they are &amp;counted</source>
            <translation>Les copies commencent pendant le &amp;comptage</translation>
        </message>
        <message>
            <source>Runs</source>
            <translation>Exécutions</translation>
        </message>
        <message>
            <source>&amp;Read everything back from the disk and compare it, also what stays on one disk</source>
            <translation>&amp;Relire tout depuis le disque et le comparer, même ce qui reste sur un disque</translation>
        </message>
        <message>
            <source>All runs &amp;together, at most</source>
            <translation>&amp;Toutes les exécutions ensemble, au plus</translation>
        </message>
        <message>
            <source> MiB/s</source>
            <translation> Mio/s</translation>
        </message>
        <message>
            <source>as fast as they can</source>
            <translation>aussi vite que possible</translation>
        </message>
        <message>
            <source>What is kept</source>
            <translation>Ce qui est gardé</translation>
        </message>
        <message>
            <source>&amp;Versions in the Safe</source>
            <translation>&amp;Versions au coffre</translation>
        </message>
        <message>
            <source> days</source>
            <translation> jours</translation>
        </message>
        <message>
            <source>&amp;Say so where the Safe takes more than</source>
            <translation>&amp;Le dire quand le coffre occupe plus de</translation>
        </message>
        <message>
            <source> GiB</source>
            <translation> Gio</translation>
        </message>
        <message>
            <source>never</source>
            <translation>jamais</translation>
        </message>
        <message>
            <source>Rece&amp;ipts that nothing in the Safe hangs on</source>
            <translation>Reç&amp;us auxquels rien ne tient dans le coffre</translation>
        </message>
        <message>
            <source>for good</source>
            <translation>pour de bon</translation>
        </message>
    </context>
    <context>
        <name>SizesModel</name>
        <message>
            <source>Name</source>
            <translation>Nom</translation>
        </message>
        <message>
            <source>Size</source>
            <translation>Taille</translation>
        </message>
        <message>
            <source>Files</source>
            <translation>Fichiers</translation>
        </message>
        <message>
            <source>Newest</source>
            <translation>Le plus récent</translation>
        </message>
    </context>
    <context>
        <name>SizesPage</name>
        <message>
            <source>What lies below this folder, by size</source>
            <translation>Ce qu’il y a sous ce dossier, par taille</translation>
        </message>
        <message>
            <source>Up</source>
            <translation>Remonter</translation>
        </message>
        <message>
            <source>The folder above</source>
            <translation>Le dossier au-dessus</translation>
        </message>
        <message>
            <source>Everything</source>
            <translation>Tout</translation>
        </message>
        <message>
            <source>Largest files</source>
            <translation>Plus grands fichiers</translation>
        </message>
        <message>
            <source>Empty folders</source>
            <translation>Dossiers vides</translation>
        </message>
        <message>
            <source>Folders over</source>
            <translation>Dossiers de plus de</translation>
        </message>
        <message>
            <source>Size from which on folders are listed</source>
            <translation>Taille à partir de laquelle les dossiers sont listés</translation>
        </message>
        <message>
            <source>Show where it lies</source>
            <translation>Montrer où il se trouve</translation>
        </message>
        <message>
            <source>Pick</source>
            <translation>Prendre</translation>
        </message>
        <message>
            <source>Into the batch, with what is in it already</source>
            <translation>Dans le lot, avec ce qui y est déjà</translation>
        </message>
        <message>
            <source>Remove…</source>
            <translation>Retirer…</translation>
        </message>
        <message>
            <source>They become the batch, to be removed; nothing goes before it is started</source>
            <translation>Ils deviennent le lot, à retirer ; rien ne part avant le démarrage</translation>
        </message>
        <message>
            <source>What stands out</source>
            <translation>Ce qui ressort</translation>
        </message>
        <message numerus="yes">
            <source>%1 in %Ln files</source>
            <translation>
                <numerusform>%1 dans %Ln fichier</numerusform>
                <numerusform>%1 dans %Ln fichiers</numerusform>
            </translation>
        </message>
        <message>
            <source>being weighed: %1 so far</source>
            <translation>pesée : %1 jusqu’ici</translation>
        </message>
        <message numerus="yes">
            <source> · %Ln folders could not be read</source>
            <translation>
                <numerusform> · %Ln dossier n’a pas pu être lu</numerusform>
                <numerusform> · %Ln dossiers n’ont pas pu être lus</numerusform>
            </translation>
        </message>
        <message>
            <source>being weighed…</source>
            <translation>pesée…</translation>
        </message>
        <message>
            <source>Go to a folder on the bench, and come back.</source>
            <translation>Allez à un dossier sur l’établi, et revenez.</translation>
        </message>
        <message>
            <source>Nothing stands out by that.</source>
            <translation>Rien ne ressort ainsi.</translation>
        </message>
        <message>
            <source>There is nothing in this folder.</source>
            <translation>Il n’y a rien dans ce dossier.</translation>
        </message>
        <message numerus="yes">
            <source>%Ln selected, %1</source>
            <translation>
                <numerusform>%Ln sélectionné, %1</numerusform>
                <numerusform>%Ln sélectionnés, %1</numerusform>
            </translation>
        </message>
    </context>
    <context>
        <name>SmallJobs</name>
        <message>
            <source>there is no name in it</source>
            <translation>il ne contient pas de nom</translation>
        </message>
        <message>
            <source>%1 is there already</source>
            <translation>%1 est déjà là</translation>
        </message>
        <message>
            <source>Undone: %1</source>
            <translation>Annulé : %1</translation>
        </message>
        <message numerus="yes">
            <source>%Ln of it; the receipt says why</source>
            <translation>
                <numerusform>%Ln de cela ; le reçu dit pourquoi</numerusform>
                <numerusform>%Ln de cela ; le reçu dit pourquoi</numerusform>
            </translation>
        </message>
        <message>
            <source>Rename %1 to %2 in %3.</source>
            <translation>Renommer %1 en %2 dans %3.</translation>
        </message>
    </context>
    <context>
        <name>StepCard</name>
        <message>
            <source>switched off: it is left out</source>
            <translation>désactivée : elle est sautée</translation>
        </message>
        <message>
            <source>whatever comes of it, the next step follows</source>
            <translation>quoi qu’il en advienne, l’étape suivante suit</translation>
        </message>
        <message>
            <source>Step %1: %2</source>
            <translation>Étape %1 : %2</translation>
        </message>
        <message>
            <source>See first</source>
            <translation>Voir d’abord</translation>
        </message>
        <message>
            <source>Shows on the bench what it would do now; nothing is done</source>
            <translation>Montre sur l’établi ce qu’elle ferait maintenant ; rien n’est fait</translation>
        </message>
        <message>
            <source>Change…</source>
            <translation>Changer…</translation>
        </message>
        <message>
            <source>Its file and its line</source>
            <translation>Son fichier et sa ligne</translation>
        </message>
        <message>
            <source>Puts it onto the bench, and back when it is as you want it</source>
            <translation>La met sur l’établi, et la remet quand elle est comme vous voulez</translation>
        </message>
        <message>
            <source>More</source>
            <translation>Plus</translation>
        </message>
        <message>
            <source>Step %1: more</source>
            <translation>Étape %1 : plus</translation>
        </message>
        <message>
            <source>Places…</source>
            <translation>Lieux…</translation>
        </message>
        <message>
            <source>Earlier</source>
            <translation>Plus tôt</translation>
        </message>
        <message>
            <source>Later</source>
            <translation>Plus tard</translation>
        </message>
        <message>
            <source>Switched off</source>
            <translation>Désactivée</translation>
        </message>
        <message>
            <source>Go on whatever comes of it</source>
            <translation>Continuer quoi qu’il en advienne</translation>
        </message>
        <message>
            <source>Take out of the job</source>
            <translation>Retirer de la tâche</translation>
        </message>
    </context>
    <context>
        <name>StepDialog</name>
        <message>
            <source>A line in a text file</source>
            <translation>Une ligne dans un fichier texte</translation>
        </message>
        <message>
            <source>Places</source>
            <translation>Lieux</translation>
        </message>
        <message>
            <source>&amp;File</source>
            <translation>&amp;Fichier</translation>
        </message>
        <message>
            <source>&amp;Line</source>
            <translation>&amp;Ligne</translation>
        </message>
        <message>
            <source>Takes from</source>
            <translation>Prend de</translation>
        </message>
        <message>
            <source>&amp;Into</source>
            <translation>&amp;Dans</translation>
        </message>
        <message>
            <source>These words stand for the date of the run: %1</source>
            <translation>Ces mots valent pour la date de l’exécution : %1</translation>
        </message>
        <message>
            <source>And in the line: {job} for its name, {totals} for what came of the steps so far.</source>
            <translation>Et dans la ligne : {job} pour son nom, {totals} pour ce qui est venu des étapes jusque-là.</translation>
        </message>
        <message>
            <source>Use it</source>
            <translation>L’utiliser</translation>
        </message>
        <message>
            <source>Today: %1</source>
            <translation>Aujourd’hui : %1</translation>
        </message>
        <message>
            <source>Today: from %1 into %2</source>
            <translation>Aujourd’hui : de %1 dans %2</translation>
        </message>
    </context>
    <context>
        <name>Text</name>
        <message>
            <source>KB</source>
            <translation>Ko</translation>
        </message>
        <message>
            <source>MB</source>
            <translation>Mo</translation>
        </message>
        <message>
            <source>GB</source>
            <translation>Go</translation>
        </message>
        <message>
            <source>TB</source>
            <translation>To</translation>
        </message>
        <message>
            <source>PB</source>
            <translation>Po</translation>
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
            <translation>d MMM hh:mm</translation>
        </message>
        <message>
            <source>d MMM yyyy hh:mm</source>
            <translation>d MMM yyyy hh:mm</translation>
        </message>
        <message>
            <source>d MMMM yyyy, hh:mm:ss</source>
            <translation>d MMMM yyyy, hh:mm:ss</translation>
        </message>
        <message>
            <source>less than a second</source>
            <translation>moins d’une seconde</translation>
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
                <numerusform>%Ln jour</numerusform>
                <numerusform>%Ln jours</numerusform>
            </translation>
        </message>
        <message>
            <source>%1 newer</source>
            <translation>%1 plus récent</translation>
        </message>
        <message>
            <source>%1 older</source>
            <translation>%1 plus ancien</translation>
        </message>
        <message>
            <source>same date</source>
            <translation>même date</translation>
        </message>
        <message>
            <source>%1 larger</source>
            <translation>%1 plus grand</translation>
        </message>
        <message>
            <source>%1 smaller</source>
            <translation>%1 plus petit</translation>
        </message>
        <message>
            <source>same size</source>
            <translation>même taille</translation>
        </message>
    </context>
    <context>
        <name>TextPair</name>
        <message>
            <source>Text of the incoming one</source>
            <translation>Texte de celui qui arrive</translation>
        </message>
        <message>
            <source>Text of the one there now</source>
            <translation>Texte de celui qui est là</translation>
        </message>
        <message>
            <source>… only the beginning was compared</source>
            <translation>… seul le début a été comparé</translation>
        </message>
    </context>
    <context>
        <name>WhenDialog</name>
        <message>
            <source>When “%1” runs</source>
            <translation>Quand tourne « %1 »</translation>
        </message>
        <message>
            <source>Only when somebody runs it</source>
            <translation>Seulement quand quelqu’un la lance</translation>
        </message>
        <message>
            <source>Every working day</source>
            <translation>Chaque jour ouvrable</translation>
        </message>
        <message>
            <source>Every day</source>
            <translation>Chaque jour</translation>
        </message>
        <message>
            <source>Every week on</source>
            <translation>Chaque semaine le</translation>
        </message>
        <message>
            <source>The first of each month</source>
            <translation>Le premier de chaque mois</translation>
        </message>
        <message>
            <source>When something arrives where it takes from</source>
            <translation>Quand quelque chose arrive où elle prend</translation>
        </message>
        <message>
            <source>By the calendar, in systemd's words:</source>
            <translation>Par le calendrier, dans les mots de systemd :</translation>
        </message>
        <message>
            <source>Day of the week</source>
            <translation>Jour de la semaine</translation>
        </message>
        <message>
            <source>Calendar expression</source>
            <translation>Expression de calendrier</translation>
        </message>
        <message>
            <source>At &amp;time</source>
            <translation>À l’&amp;heure</translation>
        </message>
        <message>
            <source>At time</source>
            <translation>Heure</translation>
        </message>
        <message>
            <source>Set it</source>
            <translation>Régler</translation>
        </message>
        <message>
            <source>It does not come again.</source>
            <translation>Elle ne revient pas.</translation>
        </message>
        <message>
            <source>Next:</source>
            <translation>Prochaine :</translation>
        </message>
        <message>
            <source>dddd, d MMMM yyyy, HH:mm</source>
            <translation>dddd d MMMM yyyy, HH:mm</translation>
        </message>
        <message>
            <source>A minute or so after a file was added, removed or changed there, while you are logged in.</source>
            <translation>Environ une minute après qu’un fichier y a été ajouté, retiré ou modifié, tant que votre session est ouverte.</translation>
        </message>
        <message>
            <source>Type an expression, as Mon..Fri 18:00 or *-*-15 06:30 (systemd.time(7)).</source>
            <translation>Tapez une expression, comme Mon..Fri 18:00 ou *-*-15 06:30 (systemd.time(7)).</translation>
        </message>
    </context>
    <context>
        <name>Wording</name>
        <message>
            <source>same</source>
            <translation>identique</translation>
        </message>
        <message>
            <source>newer</source>
            <translation>plus récent</translation>
        </message>
        <message>
            <source>older</source>
            <translation>plus ancien</translation>
        </message>
        <message>
            <source>same date</source>
            <translation>même date</translation>
        </message>
        <message>
            <source>other type</source>
            <translation>autre type</translation>
        </message>
        <message>
            <source>twin</source>
            <translation>jumeau</translation>
        </message>
        <message>
            <source>there already</source>
            <translation>déjà là</translation>
        </message>
        <message>
            <source>undecided</source>
            <translation>indécis</translation>
        </message>
        <message>
            <source>skip</source>
            <translation>ignorer</translation>
        </message>
        <message>
            <source>overwrite</source>
            <translation>écraser</translation>
        </message>
        <message>
            <source>rename</source>
            <translation>renommer</translation>
        </message>
        <message>
            <source>smaller</source>
            <translation>plus petit</translation>
        </message>
        <message>
            <source>of one size</source>
            <translation>de même taille</translation>
        </message>
        <message>
            <source>larger</source>
            <translation>plus grand</translation>
        </message>
        <message>
            <source>Skip</source>
            <translation>Ignorer</translation>
        </message>
        <message>
            <source>Overwrite</source>
            <translation>Écraser</translation>
        </message>
        <message>
            <source>Rename</source>
            <translation>Renommer</translation>
        </message>
        <message>
            <source>new name</source>
            <translation>nouveau nom</translation>
        </message>
        <message>
            <source>new</source>
            <translation>nouveau</translation>
        </message>
        <message>
            <source>merge</source>
            <translation>fusionner</translation>
        </message>
        <message>
            <source>cannot be done</source>
            <translation>impossible</translation>
        </message>
        <message>
            <source>goes</source>
            <translation>part</translation>
        </message>
        <message>
            <source>comes back</source>
            <translation>revient</translation>
        </message>
        <message>
            <source>keeps its name</source>
            <translation>garde son nom</translation>
        </message>
        <message>
            <source>the archive's name is taken</source>
            <translation>le nom de l’archive est pris</translation>
        </message>
        <message>
            <source>changed since</source>
            <translation>modifié depuis</translation>
        </message>
        <message>
            <source>comparing…</source>
            <translation>comparaison…</translation>
        </message>
        <message>
            <source>not reached</source>
            <translation>pas atteint</translation>
        </message>
        <message>
            <source>moved</source>
            <translation>déplacé</translation>
        </message>
        <message>
            <source>renamed</source>
            <translation>renommé</translation>
        </message>
        <message>
            <source>made</source>
            <translation>créé</translation>
        </message>
        <message>
            <source>packed</source>
            <translation>empaqueté</translation>
        </message>
        <message>
            <source>unpacked</source>
            <translation>dépaqueté</translation>
        </message>
        <message>
            <source>copied</source>
            <translation>copié</translation>
        </message>
        <message>
            <source>overwritten</source>
            <translation>écrasé</translation>
        </message>
        <message>
            <source>skipped</source>
            <translation>ignoré</translation>
        </message>
        <message>
            <source>merged</source>
            <translation>fusionné</translation>
        </message>
        <message>
            <source>failed</source>
            <translation>échoué</translation>
        </message>
        <message>
            <source>removed</source>
            <translation>retiré</translation>
        </message>
        <message>
            <source>taken away</source>
            <translation>enlevé</translation>
        </message>
        <message>
            <source>put back</source>
            <translation>remis</translation>
        </message>
        <message>
            <source>%1 into %2</source>
            <translation>%1 dans %2</translation>
        </message>
        <message>
            <source>undone</source>
            <translation>annulée</translation>
        </message>
        <message>
            <source>done, with failures</source>
            <translation>terminée, avec des échecs</translation>
        </message>
        <message>
            <source>done</source>
            <translation>terminée</translation>
        </message>
        <message>
            <source>stopped</source>
            <translation>arrêtée</translation>
        </message>
        <message>
            <source>interrupted, or still going on</source>
            <translation>interrompue, ou encore en cours</translation>
        </message>
    </context>
</TS>
