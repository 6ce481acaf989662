// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>
#include <sys/xattr.h>

#include <filesystem>

#include "script.h"
#include "support/archives.h"
#include "support/catch.h"
#include "support/kill_scene.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// tavloctl pack, as a script uses it; what it makes is read by others.

namespace {

constexpr const char* every_extension[] = {"zip", "tar", "tar.gz", "tgz", "tar.xz", "tar.zst"};

void make_office(const TempFolder& temp) {
    temp.write("in/permit-001.pdf", std::string(3000, 'p'));
    temp.write("in/maps/quay.txt", std::string(1'500'000, 'q') + "end");
    temp.write("in/maps/e\u0301 \u00e9.txt", "accents");
    temp.write("in/empty.txt", "");
    std::filesystem::create_directory(temp.path("in/nothing"));
    std::filesystem::create_symlink("maps/quay.txt", temp.path("in/link"));
    std::filesystem::create_hard_link(temp.path("in/permit-001.pdf"), temp.path("in/second name"));
    temp.date("in/permit-001.pdf", 1'900'000'000, 123'456'789);
    temp.date("in/maps/quay.txt", -2, 500'000'000);
    ::chmod(temp.path("in/maps/quay.txt").c_str(), 0640);
}

}  // namespace

TEST_CASE("what is packed comes out as it went in, by others too, the archive stands beside the items",
          "[pack]") {
    for (const std::string extension : every_extension) {
        CAPTURE(extension);
        const TempFolder temp;
        const Script script(temp);
        make_office(temp);
        const std::string file = temp.path("mail/x." + extension);
        const auto planned = script.run({"pack", temp.path("in"), "--into", file, "--plan", "--json"});
        CHECK(planned.status == 0);
        CHECK(planned.json()["archive"]["path"] == file);
        CHECK_FALSE(temp.has("mail"));
        const auto ran = script.run({"pack", temp.path("in"), "--into", file, "--json"});
        CAPTURE(ran.err);
        REQUIRE(ran.status == 0);
        const auto receipt = ran.json();
        CHECK(receipt["operation"] == "pack");
        CHECK(receipt["destination"] == file);
        CHECK(receipt["archive"]["path"] == file);
        CHECK(receipt["archive"]["result"] == "created");
        CHECK(receipt["archive"]["collision"].is_null());
        CHECK(receipt["archive"]["size"] == std::filesystem::file_size(file));
        CHECK(receipt["items"].size() == 9);
        CHECK(receipt["totals"]["items"] == 9);
        CHECK(receipt["totals"]["created"] == 9);
        for (const auto& item : receipt["items"]) {
            CHECK(item["result"] == "created");
            CHECK(item["target"].get<std::string>().starts_with(file + "/in"));
            if (item["type"] == "file") CHECK(item["hash"].get<std::string>().starts_with("xxh3-128:"));
        }
        struct stat status {};
        REQUIRE(::stat(file.c_str(), &status) == 0);
        CHECK((status.st_mode & 0777) == 0644);
        CHECK(script.run({"check", receipt["id"]}).status == 0);
        CHECK(script.run({"unpack", file, "--into", temp.path("out")}).status == 0);
        const bool is_zip = extension == "zip";
        const Tree before =
            tree_of(temp.path("in"), {.folder_times = false, .hard_links = !is_zip, .times = !is_zip});
        CHECK(differences(tree_of(temp.path("out/in"),
                                  {.folder_times = false, .hard_links = !is_zip, .times = !is_zip}),
                          before) == "");
        CHECK(script.run({"undo", receipt["id"]}).status == 0);
        CHECK_FALSE(temp.has("mail"));
        CHECK(temp.has("in/permit-001.pdf"));
    }
}

TEST_CASE("Python and Info-ZIP read what was packed", "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    make_office(temp);
    for (const char* extension : {"zip", "tar", "tar.gz", "tar.xz"})
        REQUIRE(script
                    .run({"pack", temp.path("in"), "--contents", "--into",
                          temp.path(std::string("x.") + extension)})
                    .status == 0);
    const std::string said = by_python(temp.path(), R"(
z = zipfile.ZipFile('x.zip')
assert z.testzip() is None
assert z.read('maps/quay.txt') == b'q' * 1500000 + b'end'
assert z.getinfo('maps/quay.txt').external_attr >> 16 & 0o777 == 0o640
assert 'maps/e\u0301 \u00e9.txt' in z.namelist(), z.namelist()
for kind in ('tar', 'tar.gz', 'tar.xz'):
    t = tarfile.open('x.' + kind)
    names = {m.name: m for m in t}
    assert t.extractfile('maps/quay.txt').read() == b'q' * 1500000 + b'end'
    assert names['maps/quay.txt'].mtime == -1.5, names['maps/quay.txt'].mtime
    assert names['link'].linkname == 'maps/quay.txt'
    assert names['second name'].linkname == 'permit-001.pdf' and names['second name'].islnk()
    assert 'maps/e\u0301 \u00e9.txt' in names
assert os.system('unzip -tq x.zip > /dev/null') == 0
print('read')
)");
    CHECK(said == "read\n");
}

TEST_CASE("a name that is taken is a collision of the archive's, and nothing of it is made unless it is",
          "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "a");
    temp.write("x.zip", "old");
    temp.date("x.zip", 1'000'000'000);
    const std::vector<std::string> words{"pack", temp.path("in"), "--into", temp.path("x.zip"), "--json"};
    const auto with = [&](const std::string& decision) {
        auto more = words;
        more.insert(more.end(), {"--on-collision", decision});
        return script.run(more);
    };
    const auto open = script.run(words);
    CHECK(open.status == 3);
    CHECK(open.json()["archive"]["result"] == "undecided");
    CHECK(open.json()["archive"]["collision"]["finding"] == "newer");
    CHECK(open.json()["totals"]["undecided"] == 2);
    CHECK(temp.read("x.zip") == "old");
    const auto skipped = with("skip");
    CHECK(skipped.status == 0);
    CHECK(skipped.json()["totals"]["skipped"] == 2);
    CHECK(temp.read("x.zip") == "old");
    const auto beside = with("rename");
    CHECK(beside.status == 0);
    CHECK(beside.json()["archive"]["final"] == temp.path("x-2.zip"));
    CHECK(beside.json()["items"][1]["final"] == temp.path("x-2.zip/in/a"));
    CHECK(temp.read("x.zip") == "old");
    const auto over = with("overwrite");
    CHECK(over.status == 0);
    CHECK(over.json()["archive"]["result"] == "overwritten");
    CHECK_FALSE(over.json()["archive"]["set_aside"].get<std::string>().empty());
    CHECK(temp.read("x.zip") != "old");
    CHECK(script.run({"undo", over.json()["id"]}).status == 0);
    CHECK(temp.read("x.zip") == "old");
    temp.write("y.tar/in", "a folder");
    const auto type = script.run({"pack", temp.path("in"), "--into", temp.path("y.tar"), "--json"});
    CHECK(type.json()["archive"]["collision"]["finding"] == "type");
}

TEST_CASE("sources go to the Safe once they are proved to be in the archive, and come back with its undo",
          "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    make_office(temp);
    const Tree before = tree_of(temp.path("in"), {.folder_times = false});
    const auto ran =
        script.run({"pack", temp.path("in"), "--into", temp.path("x.tar.gz"), "--then-remove", "--json"});
    CAPTURE(ran.err);
    REQUIRE(ran.status == 0);
    CHECK_FALSE(temp.has("in"));
    for (const auto& item : ran.items()) {
        CHECK(item["result"] == "created");
        if (item["type"] != "folder") CHECK(item.contains("set_aside"));
    }
    CHECK(script.run({"check", ran.json()["id"]}).status == 0);
    const auto undone = script.run({"undo", ran.json()["id"], "--json"});
    CAPTURE(undone.err, undone.out);
    CHECK(undone.status == 0);
    CHECK(differences(tree_of(temp.path("in"), {.folder_times = false}), before) == "");
    CHECK_FALSE(temp.has("x.tar.gz"));
    CHECK(script.run({"undo", undone.json()["id"]}).status == 0);
    CHECK_FALSE(temp.has("in/permit-001.pdf"));
    CHECK(temp.has("x.tar.gz"));
}

TEST_CASE("an archive that was changed since stays, its sources come back all the same", "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "a");
    const auto ran =
        script.run({"pack", temp.path("in"), "--into", temp.path("x.zip"), "--then-remove", "--json"});
    temp.write("x.zip", "another");
    const auto check = script.run({"check", ran.json()["id"], "--json"});
    CHECK(check.status == 1);
    CHECK(check.json()["items"].size() == 1);
    CHECK(check.json()["items"][0]["target"] == temp.path("x.zip"));
    CHECK(script.run({"undo", ran.json()["id"]}).status == 3);
    CHECK(temp.read("x.zip") == "another");
    CHECK(temp.read("in/a") == "a");
}

TEST_CASE("what cannot be packed fails by itself, with its reason, the rest is packed", "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "a");
    temp.write("in/\xff\xfe", "no UTF-8");
    ::mkfifo(temp.path("in/fifo").c_str(), 0600);
    const auto zip =
        script.run({"pack", temp.path("in"), "--into", temp.path("x.zip"), "--json", "--then-remove"});
    CHECK(zip.status == 1);
    CHECK(zip.json()["totals"]["failed"] == 2);
    CHECK(zip.json()["totals"]["created"] == 2);
    CHECK(temp.has("in/\xff\xfe"));
    CHECK_FALSE(temp.has("in/a"));
    const auto tar = script.run({"pack", temp.path("in"), "--into", temp.path("x.tar"), "--json"});
    CHECK(tar.json()["totals"]["failed"] == 1);
    REQUIRE(script.run({"unpack", temp.path("x.tar"), "--into", temp.path("out")}).status == 0);
    CHECK(temp.read("out/in/\xff\xfe") == "no UTF-8");
    temp.write("one/same", "1");
    temp.write("two/same", "2");
    const auto twins = script.run(
        {"pack", temp.path("one"), temp.path("two"), "--contents", "--into", temp.path("t.zip"), "--json"});
    CHECK(twins.status == 3);
    CHECK(twins.json()["archive"]["result"] == "failed");  // nothing else was in hand
    temp.write("two/other", "3");
    const auto left_out = script.run(
        {"pack", temp.path("one"), temp.path("two"), "--contents", "--into", temp.path("t.zip"), "--json"});
    CHECK(left_out.status == 3);
    CHECK(left_out.json()["archive"]["result"] == "created");
    CHECK(left_out.json()["totals"]["undecided"] == 2);
}

TEST_CASE("what makes no archive is refused beforehand, and nothing is touched", "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "a");
    const auto refused = [&](const std::vector<std::string>& words) {
        const auto answer = script.run(words);
        CAPTURE(words, answer.err);
        CHECK(answer.status == 2);
        CHECK(answer.out.empty());
        CHECK_FALSE(answer.err.empty());
    };
    for (const char* name : {"x.rar", "x", ".zip", ".tar.gz", "x.zip/", "x.gz"})
        refused({"pack", temp.path("in"), "--into", temp.path("to/") + name, "--json"});
    refused({"pack", temp.path("in"), "--into", temp.path("in/x.zip")});
    refused({"pack", temp.path("in"), "--contents", "--into", temp.path("in/x.zip")});
    refused({"pack", temp.path("in"), "--contents", "--into", temp.path("in/deeper/x.zip")});
    refused({"pack", temp.path("nothing"), "--into", temp.path("x.zip")});
    refused({"pack", "--into", temp.path("x.zip")});
    refused({"pack", temp.path("in")});
    refused({"pack", temp.path("in"), "--into", temp.path("in/a/x.zip")});
    temp.write("y.zip", "y");
    refused({"pack", temp.path("y.zip"), temp.path("in"), "--into", temp.path("y.zip"), "--on-collision",
             "overwrite"});
    CHECK_FALSE(temp.has("to"));
    CHECK(temp.read("y.zip") == "y");
}

TEST_CASE("files are chosen and named for an archive as for a folder", "[pack]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a.pdf", "a");
    temp.write("in/deep/b.pdf", "b");
    temp.write("in/deep/c.txt", "c");
    REQUIRE(script
                .run({"pack", temp.path("in"), "--flatten", "--name", "*.pdf", "--prefix", "p-", "--into",
                      temp.path("x.tgz"), "--compression", "small"})
                .status == 0);
    CHECK(by_python(temp.path(), "print(sorted(tarfile.open('x.tgz').getnames()))") ==
          "['p-a.pdf', 'p-b.pdf']\n");
    REQUIRE(script.run({"pack", temp.path("in"), "--name", "*.txt", "--into", temp.path("y.zip")}).status ==
            0);
    CHECK(by_python(temp.path(), "print(zipfile.ZipFile('y.zip').namelist())") ==
          "['in/', 'in/deep/', 'in/deep/c.txt']\n");
    // out of one archive into another
    REQUIRE(script.run({"pack", temp.path("y.zip/in"), "--into", temp.path("z.tar")}).status == 0);
    CHECK(by_python(temp.path(),
                    "print(tarfile.open('z.tar').extractfile('in/deep/c.txt').read().decode())") == "c\n");
}
