<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="en_GB" sourcelanguage="en">
<context>
    <name>ArrivalsLine</name>
    <message numerus="yes">
        <location filename="../views/gathering/arrivals_line.cpp" line="34" />
        <source>%Ln came in here: %1</source>
        <translation>
            <numerusform>%Ln came in here: %1</numerusform>
            <numerusform>%Ln came in here: %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>BalanceBar</name>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="29" />
        <source>%Ln new</source>
        <translation>
            <numerusform>%Ln new</numerusform>
            <numerusform>%Ln new</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="28" />
        <source>%Ln get new names</source>
        <translation>
            <numerusform>%Ln gets a new name</numerusform>
            <numerusform>%Ln get new names</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="30" />
        <source>%Ln overwrite, old ones to the Safe</source>
        <translation>
            <numerusform>%Ln overwrite, old one to the Safe</numerusform>
            <numerusform>%Ln overwrite, old ones to the Safe</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="32" />
        <source>%Ln get the nearest free name</source>
        <translation>
            <numerusform>%Ln gets the nearest free name</numerusform>
            <numerusform>%Ln get the nearest free name</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="33" />
        <source>%Ln renamed</source>
        <translation>
            <numerusform>%Ln renamed</numerusform>
            <numerusform>%Ln renamed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="34" />
        <source>%Ln same, skipped</source>
        <translation>
            <numerusform>%Ln same, skipped</numerusform>
            <numerusform>%Ln same, skipped</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="37" />
        <source>%Ln skipped</source>
        <translation>
            <numerusform>%Ln skipped</numerusform>
            <numerusform>%Ln skipped</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="36" />
        <source>%Ln keep their names</source>
        <translation>
            <numerusform>%Ln keeps its name</numerusform>
            <numerusform>%Ln keep their names</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="38" />
        <source>%Ln folders merge</source>
        <translation>
            <numerusform>%Ln folder merges</numerusform>
            <numerusform>%Ln folders merge</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="39" />
        <source>%Ln undecided</source>
        <translation>
            <numerusform>%Ln undecided</numerusform>
            <numerusform>%Ln undecided</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="40" />
        <source>%Ln cannot be done</source>
        <translation>
            <numerusform>%Ln cannot be done</numerusform>
            <numerusform>%Ln cannot be done</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="43" />
        <source>%Ln leave, to the trash</source>
        <translation>
            <numerusform>%Ln leaves, to the trash</numerusform>
            <numerusform>%Ln leave, to the trash</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="44" />
        <source>%Ln leave, to the Safe</source>
        <translation>
            <numerusform>%Ln leaves, to the Safe</numerusform>
            <numerusform>%Ln leave, to the Safe</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="139" />
        <source>Not possible: %1 (and %Ln more)</source>
        <translation>
            <numerusform>Not possible: %1 (and %Ln more)</numerusform>
            <numerusform>Not possible: %1 (and %Ln more)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/balance_bar.cpp" line="166" />
        <source>&lt;b&gt;%1&lt;/b&gt; in %Ln files leave; the undo brings them back</source>
        <translation>
            <numerusform>&lt;b&gt;%1&lt;/b&gt; in %Ln file leaves; the undo brings them back</numerusform>
            <numerusform>&lt;b&gt;%1&lt;/b&gt; in %Ln files leave; the undo brings them back</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>BatchModel</name>
    <message numerus="yes">
        <location filename="../models/batch_model.cpp" line="74" />
        <source>%Ln files, %1</source>
        <translation>
            <numerusform>%Ln file, %1</numerusform>
            <numerusform>%Ln files, %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>BatchView</name>
    <message numerus="yes">
        <location filename="../views/outcome/batch_view.cpp" line="124" />
        <source>%Ln files</source>
        <translation>
            <numerusform>%Ln file</numerusform>
            <numerusform>%Ln files</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/batch_view.cpp" line="126" />
        <source>from %Ln folders</source>
        <translation>
            <numerusform>from %Ln folder</numerusform>
            <numerusform>from %Ln folders</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/batch_view.cpp" line="191" />
        <source>%Ln of the paths in the file are not there, and were left out.</source>
        <translation>
            <numerusform>%Ln of the paths in the file is not there, and was left out.</numerusform>
            <numerusform>%Ln of the paths in the file are not there, and were left out.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>ClipboardLine</name>
    <message numerus="yes">
        <location filename="../views/bench/clipboard_line.cpp" line="72" />
        <source>Clipboard: %Ln cut</source>
        <translation>
            <numerusform>Clipboard: %Ln cut</numerusform>
            <numerusform>Clipboard: %Ln cut</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/clipboard_line.cpp" line="72" />
        <source>Clipboard: %Ln copied</source>
        <translation>
            <numerusform>Clipboard: %Ln copied</numerusform>
            <numerusform>Clipboard: %Ln copied</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/clipboard_line.cpp" line="74" />
        <source> from %Ln folders</source>
        <translation>
            <numerusform> from %Ln folder</numerusform>
            <numerusform> from %Ln folders</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/clipboard_line.cpp" line="76" />
        <source> · %Ln gone</source>
        <translation>
            <numerusform> · %Ln gone</numerusform>
            <numerusform> · %Ln gone</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>CollisionsPage</name>
    <message numerus="yes">
        <location filename="../views/collisions/collisions_page.cpp" line="202" />
        <source>%Ln meet what is there</source>
        <translation>
            <numerusform>%Ln meets what is there</numerusform>
            <numerusform>%Ln meet what is there</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/collisions/collisions_page.cpp" line="205" />
        <source>%Ln settled</source>
        <translation>
            <numerusform>%Ln settled</numerusform>
            <numerusform>%Ln settled</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/collisions/collisions_page.cpp" line="208" />
        <source>What collides with nothing, %Ln items, can start now.</source>
        <translation>
            <numerusform>What collides with nothing, %Ln item, can start now.</numerusform>
            <numerusform>What collides with nothing, %Ln items, can start now.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/collisions/collisions_names.cpp" line="29" />
        <source>%Ln selected</source>
        <translation>
            <numerusform>%Ln selected</numerusform>
            <numerusform>%Ln selected</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>DesktopNotes</name>
    <message numerus="yes">
        <location filename="../tasks/desktop_notes.cpp" line="74" />
        <source>A run has ended, and %Ln items need you</source>
        <translation>
            <numerusform>A run has ended, and %Ln item needs you</numerusform>
            <numerusform>A run has ended, and %Ln items need you</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>DestinationPanel</name>
    <message numerus="yes">
        <location filename="../views/bench/destination_panel.cpp" line="182" />
        <source>%1: the run will make the last %Ln folders of it.</source>
        <translation>
            <numerusform>%1: the run will make the last %Ln folder of it.</numerusform>
            <numerusform>%1: the run will make the last %Ln folders of it.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>FaceToFace</name>
    <message numerus="yes">
        <location filename="../views/collisions/face_to_face.cpp" line="206" />
        <source>%Ln cells differ</source>
        <translation>
            <numerusform>%Ln cell differs</numerusform>
            <numerusform>%Ln cells differ</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/collisions/face_to_face.cpp" line="207" />
        <source>%Ln lines differ; F7 goes to the next</source>
        <translation>
            <numerusform>%Ln line differs; F7 goes to the next</numerusform>
            <numerusform>%Ln lines differ; F7 goes to the next</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>FolderModel</name>
    <message numerus="yes">
        <location filename="../models/folder_model.cpp" line="292" />
        <source>%Ln files, %1</source>
        <translation>
            <numerusform>%Ln file, %1</numerusform>
            <numerusform>%Ln files, %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>GatheringSide</name>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="26" />
        <source>%Ln fit, here and below</source>
        <translation>
            <numerusform>%Ln fits, here and below</numerusform>
            <numerusform>%Ln fit, here and below</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="27" />
        <source>%Ln fit so far, looking on…</source>
        <translation>
            <numerusform>%Ln fits so far, looking on…</numerusform>
            <numerusform>%Ln fit so far, looking on…</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="30" />
        <source>%Ln here</source>
        <translation>
            <numerusform>%Ln here</numerusform>
            <numerusform>%Ln here</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="35" />
        <source>%Ln folders</source>
        <translation>
            <numerusform>%Ln folder</numerusform>
            <numerusform>%Ln folders</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="38" />
        <source>%Ln selected</source>
        <translation>
            <numerusform>%Ln selected</numerusform>
            <numerusform>%Ln selected</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="43" />
        <source>%Ln picked here</source>
        <translation>
            <numerusform>%Ln picked here</numerusform>
            <numerusform>%Ln picked here</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/gathering_words.cpp" line="44" />
        <source>%Ln in the batch</source>
        <translation>
            <numerusform>%Ln in the batch</numerusform>
            <numerusform>%Ln in the batch</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>GroupModel</name>
    <message numerus="yes">
        <location filename="../models/collision_models.cpp" line="99" />
        <source>%Ln items</source>
        <translation>
            <numerusform>%Ln item</numerusform>
            <numerusform>%Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../models/collision_models.cpp" line="99" />
        <source>%Ln pairs</source>
        <translation>
            <numerusform>%Ln pair</numerusform>
            <numerusform>%Ln pairs</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../models/collision_models.cpp" line="110" />
        <location filename="../models/collision_models.cpp" line="115" />
        <source>%Ln open</source>
        <translation>
            <numerusform>%Ln open</numerusform>
            <numerusform>%Ln open</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../models/collision_models.cpp" line="114" />
        <source>%Ln other</source>
        <translation>
            <numerusform>%Ln other</numerusform>
            <numerusform>%Ln other</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>InstructionLine</name>
    <message numerus="yes">
        <location filename="../views/bench/instruction_menus.cpp" line="107" />
        <source>%1 (%Ln picked)</source>
        <translation>
            <numerusform>%1 (%Ln picked)</numerusform>
            <numerusform>%1 (%Ln picked)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="208" />
        <source>%Ln items</source>
        <translation>
            <numerusform>%Ln item</numerusform>
            <numerusform>%Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="210" />
        <source>%Ln folders</source>
        <translation>
            <numerusform>%Ln folder</numerusform>
            <numerusform>%Ln folders</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="217" />
        <source>%Ln undecided stay in hand.</source>
        <translation>
            <numerusform>%Ln undecided stays in hand.</numerusform>
            <numerusform>%Ln undecided stay in hand.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="267" />
        <source>%1 (%Ln go)</source>
        <translation>
            <numerusform>%1 (%Ln goes)</numerusform>
            <numerusform>%1 (%Ln go)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="367" />
        <source>Rename %Ln items</source>
        <translation>
            <numerusform>Rename %Ln item</numerusform>
            <numerusform>Rename %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="371" />
        <source>Remove %Ln items</source>
        <translation>
            <numerusform>Remove %Ln item</numerusform>
            <numerusform>Remove %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="374" />
        <source>Pack %Ln items</source>
        <translation>
            <numerusform>Pack %Ln item</numerusform>
            <numerusform>Pack %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="378" />
        <source>Unpack %Ln items</source>
        <translation>
            <numerusform>Unpack %Ln item</numerusform>
            <numerusform>Unpack %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="385" />
        <source>Copy %Ln items</source>
        <translation>
            <numerusform>Copy %Ln item</numerusform>
            <numerusform>Copy %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/bench/instruction_line.cpp" line="363" />
        <source>Move %Ln items</source>
        <translation>
            <numerusform>Move %Ln item</numerusform>
            <numerusform>Move %Ln items</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>JobWords</name>
    <message numerus="yes">
        <location filename="../job_words.cpp" line="84" />
        <source>changed in the last %Ln days</source>
        <translation>
            <numerusform>changed in the last %Ln day</numerusform>
            <numerusform>changed in the last %Ln days</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../job_words.cpp" line="90" />
        <source>not changed for %Ln days</source>
        <translation>
            <numerusform>not changed for %Ln day</numerusform>
            <numerusform>not changed for %Ln days</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../job_words.cpp" line="111" />
        <source>%Ln places</source>
        <translation>
            <numerusform>%Ln place</numerusform>
            <numerusform>%Ln places</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../job_words.cpp" line="119" />
        <source>%Ln things</source>
        <translation>
            <numerusform>%Ln thing</numerusform>
            <numerusform>%Ln things</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../job_words.cpp" line="193" />
        <source>%1: %Ln kinds of collision (%2) will stay as they are until you look.</source>
        <translation>
            <numerusform>%1: %Ln kind of collision (%2) will stay as it is until you look.</numerusform>
            <numerusform>%1: %Ln kinds of collision (%2) will stay as they are until you look.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>JobsModel</name>
    <message numerus="yes">
        <location filename="../models/jobs_model.cpp" line="59" />
        <source>%1 (and %Ln more steps)</source>
        <translation>
            <numerusform>%1 (and %Ln more step)</numerusform>
            <numerusform>%1 (and %Ln more steps)</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>KeepJobDialog</name>
    <message numerus="yes">
        <location filename="../views/jobs/keep_job_dialog.cpp" line="76" />
        <source>the same %Ln things, by their names</source>
        <translation>
            <numerusform>the same %Ln thing, by their names</numerusform>
            <numerusform>the same %Ln things, by their names</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/jobs/keep_job_dialog.cpp" line="105" />
        <source>%Ln kinds of collision will stay as they are until you look: nobody is asked while it is running.</source>
        <translation>
            <numerusform>%Ln kind of collision will stay as it is until you look: nobody is asked while it is running.</numerusform>
            <numerusform>%Ln kinds of collision will stay as they are until you look: nobody is asked while it is running.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>Keeping</name>
    <message numerus="yes">
        <location filename="../tasks/keeping.cpp" line="48" />
        <source>%Ln versions have left the Safe, past the age that you have set.</source>
        <translation>
            <numerusform>%Ln version has left the Safe, past the age that you have set.</numerusform>
            <numerusform>%Ln versions have left the Safe, past the age that you have set.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>Lane</name>
    <message numerus="yes">
        <location filename="../views/runs/lane_words.cpp" line="38" />
        <source>%Ln items</source>
        <translation>
            <numerusform>%Ln item</numerusform>
            <numerusform>%Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/lane_words.cpp" line="58" />
        <source>%Ln s left</source>
        <translation>
            <numerusform>%Ln s left</numerusform>
            <numerusform>%Ln s left</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/lane_words.cpp" line="60" />
        <source>about %Ln min left</source>
        <translation>
            <numerusform>about %Ln min left</numerusform>
            <numerusform>about %Ln min left</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>LaneView</name>
    <message numerus="yes">
        <location filename="../views/runs/lane_view.cpp" line="132" />
        <source>%Ln failed</source>
        <translation>
            <numerusform>%Ln failed</numerusform>
            <numerusform>%Ln failed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/lane_view.cpp" line="133" />
        <source>%Ln undecided</source>
        <translation>
            <numerusform>%Ln undecided</numerusform>
            <numerusform>%Ln undecided</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>ListPanel</name>
    <message numerus="yes">
        <location filename="../views/gathering/list_panel.cpp" line="174" />
        <source>%Ln fit</source>
        <translation>
            <numerusform>%Ln fits</numerusform>
            <numerusform>%Ln fit</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/list_panel.cpp" line="226" />
        <source>%Ln found</source>
        <translation>
            <numerusform>%Ln found</numerusform>
            <numerusform>%Ln found</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/list_panel.cpp" line="227" />
        <source>%Ln fit several, %1 still to choose</source>
        <translation>
            <numerusform>%Ln fits several, %1 still to choose</numerusform>
            <numerusform>%Ln fit several, %1 still to choose</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/list_panel.cpp" line="228" />
        <source>%Ln not found</source>
        <translation>
            <numerusform>%Ln not found</numerusform>
            <numerusform>%Ln not found</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/list_panel.cpp" line="233" />
        <source>Add %Ln files to the batch</source>
        <translation>
            <numerusform>Add %Ln file to the batch</numerusform>
            <numerusform>Add %Ln files to the batch</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>Listing</name>
    <message numerus="yes">
        <location filename="../models/listing.cpp" line="141" />
        <source>%Ln folders could not be read</source>
        <translation>
            <numerusform>%Ln folder could not be read</numerusform>
            <numerusform>%Ln folders could not be read</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>MainWindow</name>
    <message numerus="yes">
        <location filename="../views/main_window_wiring.cpp" line="61" />
        <source>%Ln of the batch are no longer there, and were left out.</source>
        <translation>
            <numerusform>%Ln of the batch is no longer there, and was left out.</numerusform>
            <numerusform>%Ln of the batch are no longer there, and were left out.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/main_window_wiring.cpp" line="159" />
        <source>%Ln picked; they are in hand on the bench.</source>
        <translation>
            <numerusform>%Ln picked; they are in hand on the bench.</numerusform>
            <numerusform>%Ln picked; they are in hand on the bench.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/main_window.cpp" line="205" />
        <source>%Ln were left out: they lie on no disk of this machine.</source>
        <translation>
            <numerusform>%Ln was left out: it lies on no disk of this machine.</numerusform>
            <numerusform>%Ln were left out: they lie on no disk of this machine.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/main_window.cpp" line="253" />
        <source>%Ln are in hand in the other window now.</source>
        <translation>
            <numerusform>%Ln is in hand in the other window now.</numerusform>
            <numerusform>%Ln are in hand in the other window now.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/main_window.cpp" line="255" />
        <source>%Ln came from the other window.</source>
        <translation>
            <numerusform>%Ln came from the other window.</numerusform>
            <numerusform>%Ln came from the other window.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>NameStepsPanel</name>
    <message numerus="yes">
        <location filename="../views/bench/name_steps_panel.cpp" line="199" />
        <source>%1 (and %Ln more)</source>
        <translation>
            <numerusform>%1 (and %Ln more)</numerusform>
            <numerusform>%1 (and %Ln more)</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>OutcomeModel</name>
    <message numerus="yes">
        <location filename="../models/outcome_model_words.cpp" line="76" />
        <source>%Ln files arrive</source>
        <translation>
            <numerusform>%Ln file arrives</numerusform>
            <numerusform>%Ln files arrive</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../models/outcome_model_words.cpp" line="84" />
        <source>with %Ln files, %1</source>
        <translation>
            <numerusform>with %Ln file, %1</numerusform>
            <numerusform>with %Ln files, %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>OutcomeSide</name>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="24" />
        <source>%Ln in hand</source>
        <translation>
            <numerusform>%Ln in hand</numerusform>
            <numerusform>%Ln in hand</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="42" />
        <source>Use other names for %Ln</source>
        <translation>
            <numerusform>Use other names for %Ln</numerusform>
            <numerusform>Use other names for %Ln</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="44" />
        <source>%Ln to settle</source>
        <translation>
            <numerusform>%Ln to settle</numerusform>
            <numerusform>%Ln to settle</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="65" />
        <source>%Ln get new names</source>
        <translation>
            <numerusform>%Ln gets a new name</numerusform>
            <numerusform>%Ln get new names</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="67" />
        <source>%Ln arrive</source>
        <translation>
            <numerusform>%Ln arrives</numerusform>
            <numerusform>%Ln arrive</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="70" />
        <source>%Ln replace</source>
        <translation>
            <numerusform>%Ln replaces</numerusform>
            <numerusform>%Ln replace</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="71" />
        <source>%Ln stay as they are</source>
        <translation>
            <numerusform>%Ln stays as it is</numerusform>
            <numerusform>%Ln stay as they are</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="73" />
        <source>%Ln leave</source>
        <translation>
            <numerusform>%Ln leaves</numerusform>
            <numerusform>%Ln leave</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="77" />
        <source>%Ln files stay beside them, %1 of them newer than a week</source>
        <translation>
            <numerusform>%Ln file stay beside them, %1 of them newer than a week</numerusform>
            <numerusform>%Ln files stay beside them, %1 of them newer than a week</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="79" />
        <source>%Ln files stay beside them</source>
        <translation>
            <numerusform>%Ln file stay beside them</numerusform>
            <numerusform>%Ln files stay beside them</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_side_words.cpp" line="82" />
        <source>%Ln cannot be done</source>
        <translation>
            <numerusform>%Ln cannot be done</numerusform>
            <numerusform>%Ln cannot be done</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/outcome/outcome_menu.cpp" line="62" />
        <source>Say a fact of %Ln items, for this batch</source>
        <translation>
            <numerusform>Say a fact of %Ln item, for this batch</numerusform>
            <numerusform>Say a fact of %Ln items, for this batch</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>PickBox</name>
    <message numerus="yes">
        <location filename="../views/gathering/pick_box.cpp" line="88" />
        <source>%Ln left: type on, or arrows</source>
        <translation>
            <numerusform>%Ln left: type on, or arrows</numerusform>
            <numerusform>%Ln left: type on, or arrows</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/gathering/pick_box.cpp" line="101" />
        <source>%Ln left, nothing added: type on</source>
        <translation>
            <numerusform>%Ln left, nothing added: type on</numerusform>
            <numerusform>%Ln left, nothing added: type on</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>ReceiptsPage</name>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="276" />
        <source>Read again: %Ln items are no longer as the run left them.</source>
        <translation>
            <numerusform>Read again: %Ln item are no longer as the run left them.</numerusform>
            <numerusform>Read again: %Ln items are no longer as the run left them.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="334" />
        <source>%1 · %2 · %Ln items</source>
        <translation>
            <numerusform>%1 · %2 · %Ln item</numerusform>
            <numerusform>%1 · %2 · %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="268" />
        <source> · %Ln could not keep everything</source>
        <translation>
            <numerusform> · %Ln could not keep everything</numerusform>
            <numerusform> · %Ln could not keep everything</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="313" />
        <source>%Ln versions are gone for good.</source>
        <translation>
            <numerusform>%Ln version is gone for good.</numerusform>
            <numerusform>%Ln versions are gone for good.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="316" />
        <source>%Ln stay in the Safe, as their source does not hold the same bytes now.</source>
        <translation>
            <numerusform>%Ln stays in the Safe, as its source does not hold the same bytes now.</numerusform>
            <numerusform>%Ln stay in the Safe, as their source does not hold the same bytes now.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="340" />
        <source> · %Ln taken back since</source>
        <translation>
            <numerusform> · %Ln taken back since</numerusform>
            <numerusform> · %Ln taken back since</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="343" />
        <source> · left %Ln versions in the Safe, %1</source>
        <translation>
            <numerusform> · left %Ln version in the Safe, %1</numerusform>
            <numerusform> · left %Ln versions in the Safe, %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="398" />
        <source>Undo %Ln chosen…</source>
        <translation>
            <numerusform>Undo %Ln chosen…</numerusform>
            <numerusform>Undo %Ln chosen…</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_menus.cpp" line="28" />
        <source>Receipts are kept %Ln days…</source>
        <translation>
            <numerusform>Receipts are kept %Ln day…</numerusform>
            <numerusform>Receipts are kept %Ln days…</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="411" />
        <source>%Ln taken away (files to the Safe)</source>
        <translation>
            <numerusform>%Ln taken away (file to the Safe)</numerusform>
            <numerusform>%Ln taken away (files to the Safe)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="414" />
        <source>%Ln put back</source>
        <translation>
            <numerusform>%Ln put back</numerusform>
            <numerusform>%Ln put back</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="416" />
        <source>%Ln left alone, changed since</source>
        <translation>
            <numerusform>%Ln left alone, changed since</numerusform>
            <numerusform>%Ln left alone, changed since</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="419" />
        <source>%Ln folders stay, as they hold something</source>
        <translation>
            <numerusform>%Ln folder stays, as it holds something</numerusform>
            <numerusform>%Ln folders stay, as they hold something</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="422" />
        <source>%Ln cannot be done</source>
        <translation>
            <numerusform>%Ln cannot be done</numerusform>
            <numerusform>%Ln cannot be done</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="426" />
        <source>Undo %Ln items</source>
        <translation>
            <numerusform>Undo %Ln item</numerusform>
            <numerusform>Undo %Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/receipts/receipts_page.cpp" line="442" />
        <source>%Ln versions, %1, would be gone for good, each only once its bytes are seen in the source that it was copied from. The others stay.</source>
        <translation>
            <numerusform>%Ln version, %1, would be gone for good, once its bytes are seen in the source that it was copied from. Else it stays.</numerusform>
            <numerusform>%Ln versions, %1, would be gone for good, each only once its bytes are seen in the source that it was copied from. The others stay.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>RunLine</name>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="106" />
        <source>%Ln more going on</source>
        <translation>
            <numerusform>%Ln more going on</numerusform>
            <numerusform>%Ln more going on</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="107" />
        <source>%Ln waiting</source>
        <translation>
            <numerusform>%Ln waiting</numerusform>
            <numerusform>%Ln waiting</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="139" />
        <source>%Ln moved</source>
        <translation>
            <numerusform>%Ln moved</numerusform>
            <numerusform>%Ln moved</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="140" />
        <source>%Ln packed</source>
        <translation>
            <numerusform>%Ln packed</numerusform>
            <numerusform>%Ln packed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="141" />
        <source>%Ln copied</source>
        <translation>
            <numerusform>%Ln copied</numerusform>
            <numerusform>%Ln copied</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="143" />
        <source>%Ln overwritten, old ones in the Safe</source>
        <translation>
            <numerusform>%Ln overwritten, old one in the Safe</numerusform>
            <numerusform>%Ln overwritten, old ones in the Safe</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="144" />
        <source>%Ln renamed</source>
        <translation>
            <numerusform>%Ln renamed</numerusform>
            <numerusform>%Ln renamed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="145" />
        <source>%Ln folders merged</source>
        <translation>
            <numerusform>%Ln folder merged</numerusform>
            <numerusform>%Ln folders merged</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="146" />
        <source>%Ln put back</source>
        <translation>
            <numerusform>%Ln put back</numerusform>
            <numerusform>%Ln put back</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="147" />
        <source>%Ln taken away</source>
        <translation>
            <numerusform>%Ln taken away</numerusform>
            <numerusform>%Ln taken away</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="148" />
        <source>%Ln skipped</source>
        <translation>
            <numerusform>%Ln skipped</numerusform>
            <numerusform>%Ln skipped</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="149" />
        <source>%Ln undecided</source>
        <translation>
            <numerusform>%Ln undecided</numerusform>
            <numerusform>%Ln undecided</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="150" />
        <source>%Ln failed</source>
        <translation>
            <numerusform>%Ln failed</numerusform>
            <numerusform>%Ln failed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="179" />
        <source>%Ln runs are paused since the last time.</source>
        <translation>
            <numerusform>%Ln run is paused since the last time.</numerusform>
            <numerusform>%Ln runs are paused since the last time.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/run_line.cpp" line="185" />
        <source>%Ln runs were interrupted. Nothing is lost; going on finishes or takes back what was open.</source>
        <translation>
            <numerusform>%Ln run was interrupted. Nothing is lost; going on finishes or takes back what was open.</numerusform>
            <numerusform>%Ln runs were interrupted. Nothing is lost; going on finishes or takes back what was open.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>RunsPage</name>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="323" />
        <source>%Ln going on</source>
        <translation>
            <numerusform>%Ln going on</numerusform>
            <numerusform>%Ln going on</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="324" />
        <source>%Ln waiting</source>
        <translation>
            <numerusform>%Ln waiting</numerusform>
            <numerusform>%Ln waiting</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="325" />
        <source>%Ln paused</source>
        <translation>
            <numerusform>%Ln paused</numerusform>
            <numerusform>%Ln paused</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="326" />
        <source>%Ln interrupted</source>
        <translation>
            <numerusform>%Ln interrupted</numerusform>
            <numerusform>%Ln interrupted</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="362" />
        <source>Needs you: %Ln failed</source>
        <translation>
            <numerusform>Needs you: %Ln failed</numerusform>
            <numerusform>Needs you: %Ln failed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="364" />
        <source>Try %Ln again</source>
        <translation>
            <numerusform>Try %Ln again</numerusform>
            <numerusform>Try %Ln again</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/runs/runs_page.cpp" line="365" />
        <source>Leave %Ln</source>
        <translation>
            <numerusform>Leave %Ln</numerusform>
            <numerusform>Leave %Ln</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>SafePage</name>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="150" />
        <source>%Ln versions are gone for good.</source>
        <translation>
            <numerusform>%Ln version is gone for good.</numerusform>
            <numerusform>%Ln versions are gone for good.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="194" />
        <source>%1 in %2 (%Ln versions)</source>
        <translation>
            <numerusform>%1 in %2 (%Ln version)</numerusform>
            <numerusform>%1 in %2 (%Ln versions)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="196" />
        <source>%1 in %2, not mounted now (%Ln versions)</source>
        <translation>
            <numerusform>%1 in %2, not mounted now (%Ln version)</numerusform>
            <numerusform>%1 in %2, not mounted now (%Ln versions)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="202" />
        <source>%Ln versions in the Safe, %1</source>
        <translation>
            <numerusform>%Ln version in the Safe, %1</numerusform>
            <numerusform>%Ln versions in the Safe, %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="211" />
        <location filename="../views/settings/settings_dialog.cpp" line="112" />
        <source>Kept %Ln days</source>
        <translation>
            <numerusform>Kept %Ln day</numerusform>
            <numerusform>Kept %Ln days</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="242" />
        <source>Remove %Ln for good…</source>
        <translation>
            <numerusform>Remove %Ln for good…</numerusform>
            <numerusform>Remove %Ln for good…</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="247" />
        <source>%Ln versions are selected.</source>
        <translation>
            <numerusform>%Ln version are selected.</numerusform>
            <numerusform>%Ln versions are selected.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="312" />
        <source>Now that would be %Ln versions.</source>
        <translation>
            <numerusform>Now that would be %Ln version.</numerusform>
            <numerusform>Now that would be %Ln versions.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="313" />
        <source>Keep them %Ln days</source>
        <translation>
            <numerusform>Keep them %Ln day</numerusform>
            <numerusform>Keep them %Ln days</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="321" />
        <source>%1: %Ln versions, %2</source>
        <translation>
            <numerusform>%1: %Ln version, %2</numerusform>
            <numerusform>%1: %Ln versions, %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="341" />
        <source>%Ln versions would be gone for good; that is not undone.</source>
        <translation>
            <numerusform>%Ln version would be gone for good; that is not undone.</numerusform>
            <numerusform>%Ln versions would be gone for good; that is not undone.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="342" />
        <source>%Ln runs can then no longer be undone in full.</source>
        <translation>
            <numerusform>%Ln run can then no longer be undone in full.</numerusform>
            <numerusform>%Ln runs can then no longer be undone in full.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/safe/safe_page.cpp" line="343" />
        <source>Remove %Ln versions for good</source>
        <translation>
            <numerusform>Remove %Ln version for good</numerusform>
            <numerusform>Remove %Ln versions for good</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>SafeVersions</name>
    <message numerus="yes">
        <source>Remove %Ln versions from the Safe for good</source>
        <translation>
            <numerusform>Remove %Ln version from the Safe for good</numerusform>
            <numerusform>Remove %Ln versions from the Safe for good</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>Sentence</name>
    <message numerus="yes">
        <location filename="../sentence.cpp" line="150" />
        <source>%Ln items</source>
        <translation>
            <numerusform>%Ln item</numerusform>
            <numerusform>%Ln items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../sentence.cpp" line="154" />
        <source>%Ln folders</source>
        <translation>
            <numerusform>%Ln folder</numerusform>
            <numerusform>%Ln folders</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>SizesPage</name>
    <message numerus="yes">
        <location filename="../views/sizes/sizes_page.cpp" line="256" />
        <source>%1 in %Ln files</source>
        <translation>
            <numerusform>%1 in %Ln file</numerusform>
            <numerusform>%1 in %Ln files</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/sizes/sizes_page.cpp" line="259" />
        <source> · %Ln folders could not be read</source>
        <translation>
            <numerusform> · %Ln folder could not be read</numerusform>
            <numerusform> · %Ln folders could not be read</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../views/sizes/sizes_page.cpp" line="278" />
        <source>%Ln selected, %1</source>
        <translation>
            <numerusform>%Ln selected, %1</numerusform>
            <numerusform>%Ln selected, %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>SmallJobs</name>
    <message numerus="yes">
        <location filename="../tasks/small_jobs.cpp" line="130" />
        <source>%Ln of it; the receipt says why</source>
        <translation>
            <numerusform>%Ln of it; the receipt says why</numerusform>
            <numerusform>%Ln of it; the receipt says why</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>Text</name>
    <message numerus="yes">
        <location filename="../text.cpp" line="67" />
        <source>%Ln s</source>
        <translation>
            <numerusform>%Ln s</numerusform>
            <numerusform>%Ln s</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../text.cpp" line="68" />
        <source>%Ln min</source>
        <translation>
            <numerusform>%Ln min</numerusform>
            <numerusform>%Ln min</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../text.cpp" line="69" />
        <source>%Ln h</source>
        <translation>
            <numerusform>%Ln h</numerusform>
            <numerusform>%Ln h</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../text.cpp" line="70" />
        <source>%Ln days</source>
        <translation>
            <numerusform>%Ln day</numerusform>
            <numerusform>%Ln days</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <location filename="../text.cpp" line="42" />
        <source>%Ln B</source>
        <translation>
            <numerusform>%Ln B</numerusform>
            <numerusform>%Ln B</numerusform>
        </translation>
    </message>
</context>
</TS>
