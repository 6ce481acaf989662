#include "tasks/instruction_file.h"

#include <QByteArray>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

#include "files/path.h"
#include "files/small_file.h"

using namespace tavlo;

namespace {

constexpr int version = 1;

QString key(const char* name) { return QLatin1String(name); }

QString bytes(const std::string& text) { return QString::fromLatin1(QByteArray::fromStdString(text).toBase64()); }
std::string bytes(const QJsonValue& value) { return QByteArray::fromBase64(value.toString().toLatin1()).toStdString(); }

/// Numbers of 64 bits, which JSON's would round.
QString number(std::uint64_t value) { return QString::number(value); }
std::uint64_t number(const QJsonValue& value) { return value.toString().toULongLong(); }

QString word(std::string_view text) { return QString::fromLatin1(text.data(), static_cast<qsizetype>(text.size())); }

QJsonArray identity(const Identity& id) {
    return {number(id.device), number(id.inode), number(id.size_bytes), QString::number(id.modified_ns)};
}

Identity identity(const QJsonArray& array) {
    return {number(array.at(0)), number(array.at(1)), number(array.at(2)), array.at(3).toString().toLongLong()};
}

QJsonValue decision(const std::optional<Decision>& decision) { return decision ? QJsonValue(word(to_text(*decision))) : QJsonValue(); }
std::optional<Decision> decision(const QJsonValue& value) { return decision_from_text(value.toString().toStdString()); }

QJsonObject own_rule(const Rules& rules) {
    QJsonArray when;
    QJsonArray sized;
    for (std::size_t finding = 0; finding < finding_count; ++finding) {
        when.append(decision(rules.when[finding]));
        for (const auto& one : rules.when_sized[finding]) sized.append(decision(one));
    }
    return {{key("when"), when}, {key("sized"), sized}};
}

Rules own_rule(const QJsonObject& json) {
    Rules rules;
    const QJsonArray when = json[key("when")].toArray();
    const QJsonArray sized = json[key("sized")].toArray();
    for (int finding = 0; finding < finding_count; ++finding) {
        rules.when[static_cast<std::size_t>(finding)] = decision(when.at(finding));
        for (int relation = 0; relation < size_relation_count; ++relation)
            rules.when_sized[static_cast<std::size_t>(finding)][static_cast<std::size_t>(relation)] =
                decision(sized.at(finding * size_relation_count + relation));
    }
    return rules;
}

}  // namespace

std::string to_text(const Instruction& instruction) {
    const Request& request = instruction.request;
    QJsonArray decisions;
    request.rules.single.each([&](const std::string& path, const PairDecision& single) {
        QJsonObject one{
            {key("path"), bytes(path)},
            {key("incoming"), identity(single.pair.incoming)},
            {key("held"), identity(single.pair.held)},
            {key("changed"), QJsonArray{QString::number(single.pair.incoming_changed_ns), QString::number(single.pair.held_changed_ns)}},
            {key("decision"), word(to_text(*single.decision))}};
        if (single.new_names) {
            one[key("names")] = static_cast<int>(single.new_names->scheme);
            one[key("pattern")] = bytes(single.new_names->pattern);
        }
        if (!single.name.empty()) one[key("name")] = bytes(single.name);
        if (single.renames_held) one[key("renames_held")] = true;
        decisions.append(one);
    });
    const QJsonObject json{{key("version"), version},
                           {key("operation"), word(to_text(request.operation))},
                           {key("destination"), bytes(request.destination)},
                           {key("contents"), request.shape.contents},
                           {key("subfolders"), static_cast<int>(request.shape.subfolders)},
                           {key("flatten"), request.shape.flatten},
                           {key("kept_from"), bytes(request.shape.kept_from)},
                           {key("clearing"), static_cast<int>(request.rules.clearing)},
                           {key("rule"), static_cast<int>(instruction.rule)},
                           {key("own"), own_rule(instruction.own)},
                           {key("names"), static_cast<int>(request.rules.new_names.scheme)},
                           {key("pattern"), bytes(request.rules.new_names.pattern)},
                           {key("adapt"), request.rules.adapt_names},
                           {key("lose"), request.rules.may_lose},
                           {key("decisions"), decisions}};
    return QJsonDocument(json).toJson(QJsonDocument::Compact).toStdString();
}

Result<Instruction> instruction_from_text(const std::string& text, const std::string& path) {
    const QJsonObject json = QJsonDocument::fromJson(QByteArray::fromStdString(text)).object();
    const auto operation = operation_from_text(json[key("operation")].toString().toStdString());
    const int subfolders = json[key("subfolders")].toInt(-1);
    const int rule = json[key("rule")].toInt(-1);
    const int names = json[key("names")].toInt(-1);
    const int clearing = json[key("clearing")].toInt();
    const bool known = json[key("version")].toInt() == version && operation && *operation <= Operation::move && subfolders >= 0 &&
                       subfolders <= static_cast<int>(Subfolders::none) && rule >= 0 && rule < collision_rule_count && names >= 0 &&
                       names <= static_cast<int>(NewNames::Scheme::pattern) && clearing >= 0 && clearing <= static_cast<int>(Clearing::all);
    if (!known) return failure(Fault::corrupt, "is no instruction that this version knows", path);
    Instruction instruction;
    Request& request = instruction.request;
    request.operation = *operation;
    request.destination = bytes(json[key("destination")]);
    request.shape = {json[key("contents")].toBool(), static_cast<Subfolders>(subfolders), json[key("flatten")].toBool(),
                     bytes(json[key("kept_from")])};
    instruction.rule = static_cast<CollisionRule>(rule);
    instruction.own = own_rule(json[key("own")].toObject());
    request.rules = instruction.rule == CollisionRule::own ? instruction.own : rules_for(instruction.rule);
    request.rules.new_names = {static_cast<NewNames::Scheme>(names), bytes(json[key("pattern")])};
    request.rules.adapt_names = json[key("adapt")].toBool();
    request.rules.may_lose = json[key("lose")].toBool();
    request.rules.clearing = static_cast<Clearing>(clearing);
    Decisions::Stroke stroke;
    for (const auto& value : json[key("decisions")].toArray()) {
        const QJsonObject one = value.toObject();
        const QJsonArray changed = one[key("changed")].toArray();
        const auto decided = decision(one[key("decision")]);
        if (!decided) continue;
        const Pair pair{identity(one[key("incoming")].toArray()), identity(one[key("held")].toArray()),
                        changed.at(0).toString().toLongLong(), changed.at(1).toString().toLongLong()};
        PairDecision single{pair, *decided, {}, bytes(one[key("name")]), one[key("renames_held")].toBool()};
        if (const int scheme = one[key("names")].toInt(-1); scheme >= 0 && scheme <= static_cast<int>(NewNames::Scheme::pattern))
            single.new_names = NewNames{static_cast<NewNames::Scheme>(scheme), bytes(one[key("pattern")])};
        stroke.insert_or_assign(bytes(one[key("path")]), std::move(single));
    }
    request.rules.single.add(std::move(stroke));
    return instruction;
}

Result<void> save_instruction(const std::string& state_folder, const std::string& text) {
    return write_small_file(join(state_folder, "instruction"), text);
}

Result<Instruction> load_instruction(const std::string& state_folder) {
    const std::string path = join(state_folder, "instruction");
    const auto text = read_small_file(path, std::size_t{256} << 20);
    if (!text) return failure(text.error());
    return instruction_from_text(*text, path);
}
