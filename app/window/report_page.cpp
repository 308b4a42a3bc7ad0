// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/report_page.hpp"

#include "app/scene/scene_view.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/theme/spoken.hpp"
#include "core/assess/report.hpp"
#include "core/base/files.hpp"
#include "core/settings/words.hpp"
#include "core/trial/trial_report.hpp"

#include <QBuffer>
#include <QDate>
#include <QImage>
#include <QPdfWriter>
#include <QTextDocument>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr int pictureWidth = 250;         // points on the page
constexpr std::size_t mostFindings = 12;  // on one page

// What decides how a print comes out and comes apart.
constexpr const char* telling[] = {"support.on",
                                   "support.source",
                                   "support.footing",
                                   "support.structure",
                                   "support.free_lean",
                                   "support.bridge_limit",
                                   "support.gap.above",
                                   "support.gap.below",
                                   "support.gap.beside",
                                   "support.interface.upper.layers",
                                   "support.interface.upper.spacing",
                                   "support.body.spacing",
                                   "support.filament.interface",
                                   "support.raft.layers",
                                   "brim.width",
                                   "layer.height",
                                   "line.width",
                                   "infill.density",
                                   "filament.name",
                                   "machine.name",
                                   "print.name"};

QString escaped(const std::string& text) { return QString::fromStdString(text).toHtmlEscaped(); }

// Sizes of h1 to h6 come out wrong on paper.
QString heading(const QString& words) {
  return QString("<p style='font-size:11pt; margin:10px 0 3px 0'><b>%1</b></p>").arg(words);
}

QString valueOf(const Settings& settings, const SettingRow& row) {
  const SettingValue& value = settings.value(row.key);
  if (const auto* number = std::get_if<double>(&value))
    return QString("%1 %2").arg(*number).arg(QString::fromStdString(row.unit)).trimmed();
  if (const auto* yes = std::get_if<bool>(&value)) return *yes ? QObject::tr("yes") : QObject::tr("no");
  const std::string& text = std::get<std::string>(value);
  return row.choices.empty() ? escaped(text) : escaped(spoken(choiceInWords(row.key, text)).toStdString());
}

QString asData(const QImage& image) {
  QByteArray bytes;
  QBuffer buffer(&bytes);
  buffer.open(QIODevice::WriteOnly);
  image.save(&buffer, "PNG");
  return QString("<img width='%1' height='%2' src='data:image/png;base64,%3'>")
      .arg(pictureWidth)
      .arg(pictureWidth * image.height() / std::max(1, image.width()))
      .arg(QString::fromLatin1(bytes.toBase64()));
}

// From the front and above, and from below: where most of what matters is.
QString picturesOf(View& view, SceneView& scene) {
  const Camera before = scene.camera();
  const auto [low, high] = view.range();
  view.setRange(0, 1e9);  // whole, whatever layers are looked at
  QString cells;
  for (const double tilt : {24.0, -24.0}) {
    scene.camera().turnTo(-60, tilt);
    scene.fitAll();
    cells += QString("<td>%1</td>").arg(asData(scene.grabFramebuffer()));
  }
  scene.camera() = before;
  view.setRange(low, high);
  return "<table width='100%'><tr>" + cells + "</tr></table>";
}

QString settingsTable(const Settings& settings) {
  QString rows;
  std::size_t at = 0;
  for (const char* key : telling) {
    const SettingRow& row = settingRow(key);
    rows += QString("%1<td>%2&nbsp;&nbsp;</td><td>%3&nbsp;&nbsp;&nbsp;&nbsp;</td>%4")
                .arg(at % 2 == 0 ? "<tr>" : "", escaped(spoken(row.label).toStdString()), valueOf(settings, row),
                     at % 2 == 1 ? "</tr>" : "");
    ++at;
  }
  return "<table cellspacing='1'>" + rows + (at % 2 == 1 ? "</tr>" : "") + "</table>";
}

QString tallyTable(const Build& build, const Settings& settings) {
  const Tally& tally = build.tally;
  const auto row = [](const QString& what, const QString& figure) {
    return QString("<tr><td>%1&nbsp;&nbsp;</td><td align='right'>%2</td></tr>").arg(what, figure);
  };
  const auto g = [&](const Use& use) { return QObject::tr("%1 g").arg(grams(use, settings), 0, 'f', 2); };
  double contact = 0;
  for (const Price& price : build.prices) contact += price.contact;  // of what hangs, and no more
  return "<table cellspacing='1'>" + row(QObject::tr("time"), durationWords(tally.seconds)) +
         row(QObject::tr("filament"), g(tally.whole())) + row(QObject::tr("of it support"), g(tally.support())) +
         row(QObject::tr("money"),
             QString("%1 %2")
                 .arg(money(tally.whole(), settings), 0, 'f', 2)
                 .arg(QString::fromStdString(settings.text("machine.currency")).toHtmlEscaped())) +
         row(QObject::tr("pieces of support"), QString::number(build.support->pieces.size())) +
         row(QObject::tr("contact under the part"), QObject::tr("%1 mm²").arg(contact, 0, 'f', 0)) + "</table>";
}

QString piecesWords(const Build& build) {
  std::map<Grade, std::size_t> counts;
  for (const PieceFigures& piece : build.pieces) ++counts[piece.grade];
  QString words;
  for (const auto& [grade, count] : counts)
    words += QString("%1%2: %3").arg(words.isEmpty() ? "" : ", ", spoken(nameOf(grade))).arg(count);
  return words.isEmpty() ? QObject::tr("No support is built.")
                         : QObject::tr("Pieces by how they come off: %1.").arg(words);
}

QString findingsList(const Findings& findings) {
  if (findings.empty()) return QObject::tr("<p>Nothing was noticed.</p>");
  QString list;
  for (std::size_t i = 0; i < std::min(findings.size(), mostFindings); ++i) {
    const Finding& finding = findings[i];
    list +=
        QString("<p style='margin:2px'><b>%1.</b> %2%3</p>")
            .arg(spoken(nameOf(finding.severity)), escaped(finding.message),
                 finding.accepted ? QObject::tr(" <i>Accepted: %1</i>").arg(escaped(*finding.accepted)) : QString());
  }
  if (findings.size() > mostFindings)
    list += QObject::tr("<p style='margin:2px'>And %1 more.</p>").arg(findings.size() - mostFindings);
  return list;
}

// What the maker noted of this very print: in words, and the first photographs.
QString outcomeOf(const Notes& notes, const std::string& code, const ChosenSets& sets) {
  const BenchNote* note = notes.all().ofVersion(code, sets.machine.name, sets.filament.name);
  if (!note) return {};
  QStringList words;
  for (const Outcome& outcome : note->outcomes) {
    QStringList of;
    if (outcome.came) of << spoken(nameOf(*outcome.came));
    if (outcome.underside) of << spoken(nameOf(*outcome.underside));
    if (!of.isEmpty()) words << escaped(outcome.what) + ": " + of.join(", ");
  }
  for (const Failure& failure : note->failures) words << spoken(nameOf(failure.kind));
  if (note->seconds) words << QObject::tr("it took %1").arg(durationWords(*note->seconds));
  if (!note->text.empty()) words << escaped(note->text);
  QString pictures;
  for (std::size_t i = 0; i < std::min<std::size_t>(2, note->pictures.size()); ++i) {
    const QImage picture(QString::fromStdString((notes.all().folderOf(*note) / note->pictures[i]).string()));
    if (!picture.isNull())
      pictures += "<td>" + asData(picture.scaledToWidth(2 * pictureWidth, Qt::SmoothTransformation)) + "</td>";
  }
  return heading(QObject::tr("What became of it")) + QString("<p style='margin:0'>%1</p>").arg(words.join("; ")) +
         (pictures.isEmpty() ? QString() : "<table><tr>" + pictures + "</tr></table>");
}

QString page(const Document& document, const Builder& builder, const Notes& notes, View& view, SceneView& scene) {
  const Shown& shown = builder.shown();
  const std::string code = codeOf(shown.project);
  QString names;
  for (const PartPtr& part : shown.project->parts) names += (names.isEmpty() ? "" : ", ") + escaped(part->name);
  const QString verdict =
      builder.trialPrint() ? spoken(verdictOf(*builder.trialPrint())) : QObject::tr("The trial print was not run.");
  return QString(
             "<html><head><meta charset='utf-8'><title>%1</title></head><body style='font-family: Lato, sans-serif; "
             "font-size: 9pt; color: #2C2A27'>"
             "<p style='font-size:15pt; margin:0'><b>%1</b></p><p style='margin:0 0 6px 0'>%2 · version %10 · %3 · "
             "Meek "
             "Trellis " TRELLIS_VERSION
             "</p>%4"
             "<table width='100%'><tr><td valign='top'>%5%6</td><td width='24'></td><td "
             "valign='top'>%7%8</td></tr></table>%9")
             .arg(document.title().toHtmlEscaped(), names,
                  QLocale().toString(QDate::currentDate(), QLocale::ShortFormat), picturesOf(view, scene),
                  heading(QObject::tr("Tally")), tallyTable(*shown.build, shown.project->settings),
                  heading(QObject::tr("Settings")), settingsTable(shown.project->settings),
                  heading(QObject::tr("Trial print and removal")))
             .arg(QString::fromStdString(code)) +
         QString("<p style='margin:0'>%1<br>%2</p>%3%4</body></html>")
             .arg(verdict.toHtmlEscaped(), piecesWords(*shown.build), heading(QObject::tr("Findings")),
                  findingsList(shown.build->findings) + outcomeOf(notes, code, shown.project->sets));
}

}  // namespace

QString reportPage(const Document& document, const Builder& builder, const Notes& notes, View& view, SceneView& scene) {
  if (!builder.shown().build || builder.isStale())
    throw Error("The print is still being built. Try again when it is done.");
  if (builder.shown().build->print.layers.empty()) throw Error("There is nothing to report on yet. Open a part first.");
  return page(document, builder, notes, view, scene);
}

void writeReport(const QString& html, const QString& title, const QString& path) {
  if (!path.endsWith(".pdf", Qt::CaseInsensitive)) return writeFileAtomically(path.toStdString(), html.toStdString());
  QByteArray bytes;
  QBuffer buffer(&bytes);
  buffer.open(QIODevice::WriteOnly);
  {
    QPdfWriter writer(&buffer);
    writer.setTitle(title);
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setPageMargins(QMarginsF(14, 12, 14, 12), QPageLayout::Millimeter);
    QTextDocument text;
    text.setHtml(html);
    text.print(&writer);
  }
  writeFileAtomically(path.toStdString(), std::string(bytes.constData(), static_cast<std::size_t>(bytes.size())));
}

}  // namespace trellis
